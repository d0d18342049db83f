package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.OwnWays;
import garden.vivarium.app.exchange.Column.Sort;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.MediumReader;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.WordFinder;
import garden.vivarium.core.guide.WordFinder.Found;
import garden.vivarium.core.guide.WordFinder.How;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.DayOrder;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Words of files: what they may mean here, and what was said of them before. */
@Component
class FileWords {

    private static final int LONGEST = 200;
    private static final String COLUMN = "COLUMN ";
    private static final String ORDER = "ORDER";

    private final LearnedWordRepository learned;
    private final OwnWays own;
    private final Stock stock;
    private final Guide guide;

    FileWords(LearnedWordRepository learned, OwnWays own, Stock stock, Guide guide) {
        this.learned = learned;
        this.own = own;
        this.stock = stock;
        this.guide = guide;
    }

    /** A choice for a word: what it would mean, and the words that say so. */
    record Choice(String means, String words) {}

    /** The words as they are known now. */
    @Transactional(readOnly = true)
    public WordBook book() {
        return new Book(
                guide,
                own.reader(),
                stock.plants().stream().map(PlantView::name).toList(),
                learned.findAll().stream()
                        .collect(Collectors.toMap(w -> key(w.sort(), w.typed()), LearnedWord::means, (a, b) -> b)));
    }

    /** What was said of a file's columns and days before, to begin with. */
    @Transactional(readOnly = true)
    public Choices before(String kind, List<String> headers) {
        Map<String, String> known = new HashMap<>();
        DayOrder order = null;
        for (LearnedWord w : learned.findAll()) {
            if (w.sort().equals(COLUMN + kind)) {
                headers.stream()
                        .filter(h -> plain(h).equals(w.typed()))
                        .forEach(h -> known.put(h, w.means().equals(Choices.LEAVE) ? "" : w.means()));
            } else if (w.sort().equals(ORDER)) {
                order = DayOrder.valueOf(w.means());
            }
        }
        return new Choices(known, null, order, null, null, null, null);
    }

    /** Keeps what was said of a file for the next one. */
    @Transactional
    public void learn(String kind, List<Column> columns, Choices said) {
        Map<String, LearnedWord> known = new HashMap<>();
        learned.findAll().forEach(w -> known.put(key(w.sort(), w.typed()), w));
        said.columns()
                .forEach((header, column) ->
                        learn(known, COLUMN + kind, header, column.isEmpty() ? Choices.LEAVE : column));
        if (said.order() != null) {
            learn(known, ORDER, "", said.order().name());
        }
        for (Column column : columns) {
            said.words().getOrDefault(column.name(), Map.of()).forEach((typed, means) -> {
                // That lines were left out is said of this file only.
                if (!means.isBlank() && !means.equals(Choices.LEAVE)) {
                    learn(known, column.sort().name(), typed, means);
                }
            });
        }
    }

    private void learn(Map<String, LearnedWord> known, String sort, String typed, String means) {
        if (plain(typed).length() > LONGEST || means.length() > LONGEST) {
            return;
        }
        LearnedWord before = known.get(key(sort, plain(typed)));
        if (before == null) {
            known.put(key(sort, plain(typed)), learned.save(new LearnedWord(sort, plain(typed), means)));
        } else {
            before.means(means);
        }
    }

    /** What a word of a sort can be said to mean. */
    @Transactional(readOnly = true)
    public List<Choice> choices(Sort sort) {
        return switch (sort) {
            case METHOD -> guide.methods().stream().map(m -> same(m.name())).toList();
            case MEDIUM -> own.media().stream().map(FileWords::same).toList();
            case PLANT -> stock.plants().stream().map(p -> same(p.name())).toList();
            case GROUP ->
                guide.groups().stream().map(g -> new Choice(g.key(), g.words())).toList();
            case CLIMATE ->
                Arrays.stream(Climate.values())
                        .map(c -> new Choice(c.code(), Messages.name(c)))
                        .toList();
            case TEXT, DAY, COUNT, CODE -> List.of();
        };
    }

    private static Choice same(String word) {
        return new Choice(word, word);
    }

    private static String key(String sort, String typed) {
        return sort + "|" + typed;
    }

    private static String plain(String typed) {
        return typed.strip().toLowerCase(Locale.ROOT);
    }

    private static final class Book implements WordBook {

        private static final Map<String, List<String>> CLIMATES = Map.of(
                "open air", List.of("outdoors", "outside", "open", "cold frame", "garden"),
                "cold house", List.of("unheated", "tunnel", "polytunnel", "cold greenhouse", "unheated house"),
                "heated house", List.of("heated", "greenhouse", "glasshouse", "warm house", "warm"),
                "lit room",
                        List.of("indoors", "lights", "lamp", "lit", "under lights", "grow tent", "window sill", "room"),
                "tropics", List.of("tropical", "hothouse"));

        private final Guide guide;
        private final MediumReader media;
        private final WordFinder plants;
        private final List<String> plantNames;
        private final WordFinder groups;
        private final WordFinder climates = WordFinder.of(CLIMATES);
        private final Map<String, String> learned;

        Book(Guide guide, MediumReader media, List<String> plants, Map<String, String> learned) {
            this.guide = guide;
            this.media = media;
            this.plants = WordFinder.of(Map.of()).and(plants);
            this.plantNames = plants;
            this.groups = WordFinder.of(guide.groups().stream()
                    .collect(Collectors.toMap(PlantGroup::key, g -> List.of(g.words()), (a, b) -> a)));
            this.learned = learned;
        }

        @Override
        public Optional<Found> find(Sort sort, String typed) {
            return switch (sort) {
                case METHOD -> guide.methodWords().find(typed);
                case MEDIUM -> media.read(typed);
                case PLANT -> plants.find(typed).or(() -> within(typed));
                case GROUP ->
                    groups.find(typed).map(f -> new Found(f.name(), f.how() == How.NEAR ? How.NEAR : How.WRITTEN));
                case CLIMATE -> climates.find(typed);
                case TEXT, DAY, COUNT, CODE -> Optional.empty();
            };
        }

        /** The one plant whose name holds the words, or is held in them. */
        private Optional<Found> within(String typed) {
            String said = plain(typed);
            List<String> near = said.length() < 4
                    ? List.of()
                    : plantNames.stream()
                            .filter(p -> plain(p).contains(said) || said.contains(plain(p)))
                            .toList();
            return near.size() == 1 ? Optional.of(new Found(near.get(0), How.NEAR)) : Optional.empty();
        }

        @Override
        public boolean fits(Sort sort, String typed) {
            return find(sort, typed).isPresent()
                    || (sort == Sort.PLANT && guide.names().read(typed).taken().isPresent());
        }

        @Override
        public Optional<String> learned(Sort sort, String typed) {
            return Optional.ofNullable(learned.get(key(sort.name(), plain(typed))));
        }
    }
}
