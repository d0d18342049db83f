package garden.vivarium.app.technique;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.label.BatchLabels;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCounts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.UsualWays;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.TrialLayout;
import garden.vivarium.core.compare.TrialReading;
import garden.vivarium.core.compare.TrialSize;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Trials: designed, laid out, stuck, run through the ordinary check, and read once at the planned end. */
@Service
class Trials {

    private static final int MOST_PER_ARM = 500;
    private static final int MOST_DAYS = 730;

    /** The fields of the arms, in their order. */
    private static final String ARMS = "abcd";

    /** Letters of the arms that are kept with how a batch was treated. */
    private static final int MOST_SAID = 120;

    private final TrialRepository trials;
    private final TrialTrayRepository trays;
    private final Batches batches;
    private final BatchBook book;
    private final Stock stock;
    private final StockCounts counts;
    private final Protocols protocols;
    private final UsualWays usual;
    private final CurrentNursery nursery;
    private final Words words;
    private final Today today;

    Trials(
            TrialRepository trials,
            TrialTrayRepository trays,
            Batches batches,
            BatchBook book,
            Stock stock,
            StockCounts counts,
            Protocols protocols,
            UsualWays usual,
            CurrentNursery nursery,
            Words words,
            Today today) {
        this.trials = trials;
        this.trays = trays;
        this.batches = batches;
        this.book = book;
        this.stock = stock;
        this.counts = counts;
        this.protocols = protocols;
        this.usual = usual;
        this.nursery = nursery;
        this.words = words;
        this.today = today;
    }

    /**
     * A trial as it is wanted.
     *
     * @param stockPlant from which pieces are taken
     * @param protocol by which all arms are done but for what is asked
     * @param arms what they are called: two to four; those that are blank after the second are none
     * @param rates what is expected of the one and the other of two arms that are to be told apart, in per cent
     * @param perArm pieces an arm; null for as many as the rates ask for
     */
    record Wanted(
            UUID stockPlant,
            String protocol,
            Factor factor,
            List<String> arms,
            int[] rates,
            Integer perArm,
            int rows,
            int columns,
            LocalDate end) {}

    /**
     * A trial in the list.
     *
     * @param since the day its trays were stuck, as it is now known; null if none stands
     */
    record Listed(TrialView trial, LocalDate since) {}

    /** All, the last made first. */
    @Transactional(readOnly = true)
    List<Listed> all() {
        List<Trial> made = trials.findAllByOrderByMadeAtDesc();
        Map<UUID, List<UUID>> stuck = trays
                .findByTrialIdIn(made.stream().map(Trial::getId).toList())
                .stream()
                .collect(Collectors.groupingBy(
                        TrialTray::trialId, Collectors.mapping(TrialTray::batchId, Collectors.toList())));
        Map<UUID, BatchView> standing =
                book.ofIds(stuck.values().stream().flatMap(List::stream).toList());
        return made.stream()
                .map(t -> new Listed(
                        t.view(),
                        since(stuck.getOrDefault(t.getId(), List.of()).stream()
                                .map(standing::get)
                                .filter(Objects::nonNull))))
                .toList();
    }

    /** The first day of those that stand, or null. */
    private static LocalDate since(Stream<BatchView> standing) {
        return standing.map(BatchView::stuckOn)
                .filter(Objects::nonNull)
                .min(Comparator.naturalOrder())
                .orElse(null);
    }

    /** How many pieces an arm tell two rates apart, in per cent, among so many arms. */
    static int needed(int first, int second, int arms) {
        if (first < 1 || first > 99 || second < 1 || second > 99 || first == second) {
            throw new InvalidField("rateA", Messages.text("Trials.rates"));
        }
        return TrialSize.within(first / 100.0, second / 100.0, arms).pieces();
    }

    /**
     * Draws the layout and keeps it.
     *
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    UUID design(Wanted w) {
        StockPlantView plant = stock.find(w.stockPlant())
                .orElseThrow(() -> new InvalidField("stockPlant", Messages.text("Trials.plant")));
        Protocol protocol = protocols.suiting(plant.plant().group()).stream()
                .filter(p -> p.key().equals(w.protocol()))
                .findFirst()
                .orElseThrow(() -> new InvalidField("protocol", Messages.text("Trials.protocol")));
        List<String> arms = arms(w.arms());
        int perArm = w.perArm() == null ? needed(w.rates()[0], w.rates()[1], arms.size()) : w.perArm();
        if (perArm < 4 || perArm > MOST_PER_ARM) {
            throw new InvalidField("perArm", Messages.text("Trials.per.arm", "most", MOST_PER_ARM, "typed", perArm));
        }
        if (w.rows() < 1
                || w.rows() > 20
                || w.columns() < 2
                || w.columns() > 30
                || w.rows() * w.columns() < arms.size()) {
            throw new InvalidField("rows", Messages.text("Trials.tray"));
        }
        refuseEnd(w.end());
        Trial trial = new Trial(plant.id(), plant.plant().name(), protocol.key());
        trial.asks(w.factor(), arms);
        UUID draw = UUID.randomUUID();
        trial.laidOut(perArm, w.rows(), w.columns(), draw.getMostSignificantBits() ^ draw.getLeastSignificantBits());
        trial.by(who(), today.now(), w.end());
        return trials.save(trial).getId();
    }

    /** The arms by their names, each of them another. */
    private static List<String> arms(List<String> typed) {
        List<String> arms = new ArrayList<>();
        for (int i = 0; i < typed.size(); i++) {
            String field = ARMS.substring(i, i + 1);
            if (i > 1 && (typed.get(i) == null || typed.get(i).isBlank())) {
                continue;
            }
            String arm = named(field, typed.get(i));
            if (arms.contains(arm)) {
                throw new InvalidField(field, Messages.text("Trials.same"));
            }
            arms.add(arm);
        }
        return arms;
    }

    private static String named(String field, String typed) {
        if (typed == null || typed.isBlank() || typed.strip().length() > 120) {
            throw new InvalidField(field, Messages.text(ARMS.indexOf(field) < 2 ? "Trials.arm" : "Trials.arm.more"));
        }
        return typed.strip();
    }

    private String who() {
        return nursery.person().map(SignedIn::name).orElse("Vivarium");
    }

    private Trial trial(UUID id) {
        return trials.findById(id).orElseThrow(() -> new NotFound(Messages.text("Trials.no.such.trial")));
    }

    /**
     * The trays are stuck: each becomes a batch, and the plant bears so much less.
     *
     * @param reason a word why, or the licence, where something speaks against cutting the plant; may be null
     * @throws InvalidField if they are already, the day has not come, or the plant may not be cut
     */
    @Transactional
    void stick(UUID id, String place, LocalDate day, String reason) {
        today.refuseFuture("stuckOn", day);
        Trial trial = trial(id);
        if (trial.view().days().stuckOn() != null) {
            throw new InvalidField("place", Messages.text("Trials.stuck.already"));
        }
        StockPlantView plant = stock.find(trial.stockPlantId())
                .orElseThrow(() -> new NotFound(Messages.text("Trials.no.stock.plant")));
        plant.refusal(day, reason).ifPresent(f -> {
            throw new InvalidField("reason", words.of(f));
        });
        Protocol protocol = protocols.suiting(plant.plant().group()).stream()
                .filter(p -> p.key().equals(trial.view().asks().protocol()))
                .findFirst()
                .orElseThrow(() -> new InvalidField("place", Messages.text("Trials.protocol")));
        UUID at = place == null || place.isBlank()
                ? plant.place().id()
                : stock.placeNamed(place.strip(), plant.place().climate()).id();
        TrialLayout layout = trial.layout();
        String title = trial.view().asks().title();
        String asks = title.length() > MOST_SAID ? title.substring(0, MOST_SAID) + "…" : title;
        for (int t = 0; t < layout.trays().size(); t++) {
            int pieces = layout.pieces(t);
            BatchView batch = batches.make(NewBatch.by(protocol)
                    .of(plant.plant(), plant.id(), at)
                    .taken(day, pieces)
                    .stuck(day, pieces)
                    .inTray(trial.view().size().rows(), trial.view().size().columns())
                    .inTrial(id, Messages.text("Trials.deviation", "asks", asks))
                    .made());
            counts.cutFor(new StockCounts.ForBatch(plant.id(), protocol.method(), day, batch.id()), pieces, null);
            trays.save(new TrialTray(id, t, batch.id(), batch.code()));
        }
        trial.stuck(day);
    }

    /** A trial that is not stuck, or whose trays were all withdrawn, is not wanted after all. */
    @Transactional
    void drop(UUID id) {
        Trial trial = trial(id);
        if (!sheet(id).mayBeDropped()) {
            throw new InvalidField("place", Messages.text("Trials.stuck.already"));
        }
        trays.deleteAll(trays.findByTrialIdOrderByTray(id));
        trials.delete(trial);
    }

    /**
     * The ways are called otherwise; which cells are whose stands as it was drawn. What a closed trial said is said
     * again in the new names, unless more was looked at since it was closed.
     *
     * @param names one for each way, in their order
     * @throws InvalidField if one has no name, or two have the same
     */
    @Transactional
    void call(UUID id, List<String> names) {
        Trial trial = trial(id);
        int ways = trial.view().asks().arms().size();
        for (int i = 2; i < ways; i++) {
            named(ARMS.substring(i, i + 1), names.get(i));
        }
        boolean stands = sheet(id)
                .result()
                .filter(r -> inWords(r).equals(trial.view().said()))
                .isPresent();
        trial.calls(arms(names.subList(0, ways)));
        if (stands) {
            trial.closed(
                    trial.view().days().closedOn(), inWords(sheet(id).result().orElseThrow()));
        }
    }

    /** Somebody wants to see the arms before the end: it is written down. */
    @Transactional
    void peek(UUID id) {
        trial(id).peeked(today.date(), who());
    }

    /**
     * A tray as it stands.
     *
     * @param code of its batch; null until it is stuck
     * @param cells the arm of each cell, row by row; −1 for an empty one
     * @param states how its pieces stand, by cell; null where nothing is to be seen
     */
    record Tray(int number, String code, List<Integer> cells, List<PieceState> states) {

        /** How the piece of a cell stands; null where nothing is to be seen. */
        public PieceState state(int cell) {
            return states == null ? null : states.get(cell);
        }
    }

    /**
     * A trial with its trays.
     *
     * @param judged pieces of which is known what became of them
     * @param of how many
     * @param since the day its trays were stuck, as it is now known; null before
     * @param result what it came to; empty until it is to be seen
     * @param edges how cells at the edge of trays did beside those within; empty until it is to be seen
     */
    record Sheet(
            TrialView trial,
            List<Tray> trays,
            int judged,
            int of,
            LocalDate since,
            Optional<TrialReading> result,
            Optional<Edges> edges) {

        /** Whether nothing of it stands: it was not stuck, or each tray was withdrawn. */
        public boolean mayBeDropped() {
            return since == null && trial.days().closedOn() == null;
        }

        /** Whether the planned end has come or all is judged. */
        public boolean mayClose(LocalDate today) {
            return since != null
                    && trial.days().closedOn() == null
                    && (!today.isBefore(trial.days().endsOn()) || judged == of);
        }
    }

    /** Pieces that became ready, of those judged, at the edges of trays and within. */
    record Edges(int readyAtEdge, int atEdge, int readyWithin, int within) {

        static Optional<Edges> of(TrialView.Size size, List<Tray> trays) {
            int[] found = new int[4];
            for (Tray tray : trays) {
                for (int cell = 0; tray.states() != null && cell < tray.states().size(); cell++) {
                    PieceState state = tray.states().get(cell);
                    if (state == PieceState.READY || state == PieceState.LOST) {
                        int row = cell / size.columns();
                        int column = cell % size.columns();
                        boolean edge =
                                row == 0 || column == 0 || row == size.rows() - 1 || column == size.columns() - 1;
                        found[edge ? 1 : 3]++;
                        found[edge ? 0 : 2] += state == PieceState.READY ? 1 : 0;
                    }
                }
            }
            return found[1] == 0 || found[3] == 0
                    ? Optional.empty()
                    : Optional.of(new Edges(found[0], found[1], found[2], found[3]));
        }
    }

    /** The batches that its trays are, once they are stuck. */
    @Transactional(readOnly = true)
    List<UUID> batches(UUID id) {
        return trays.findByTrialIdOrderByTray(id).stream()
                .map(TrialTray::batchId)
                .toList();
    }

    /** Every cell that holds a piece, tray by tray, with the way that it is of. */
    @Transactional(readOnly = true)
    List<BatchLabels.CellOfTrial> cells(UUID id) {
        Trial trial = trial(id);
        TrialView view = trial.view();
        List<BatchLabels.CellOfTrial> cells = new ArrayList<>();
        for (TrialTray tray : trays.findByTrialIdOrderByTray(id)) {
            List<Integer> arms = trial.layout().trays().get(tray.tray());
            for (int i = 0; i < arms.size(); i++) {
                int arm = arms.get(i);
                if (arm != TrialLayout.EMPTY) {
                    cells.add(new BatchLabels.CellOfTrial(
                            tray.batchId(),
                            arm,
                            view.asks().arms().get(arm),
                            i / view.size().columns() + 1,
                            i % view.size().columns() + 1));
                }
            }
        }
        return cells;
    }

    /** A trial; the arms stay unseen until it is closed, or somebody has asked to see them. */
    @Transactional(readOnly = true)
    Sheet sheet(UUID id) {
        Trial trial = trial(id);
        TrialView view = trial.view();
        boolean seen = view.days().closedOn() != null || view.days().peekedOn() != null;
        TrialLayout layout = trial.layout();
        List<TrialTray> stuck = trays.findByTrialIdOrderByTray(id);
        Map<UUID, BatchView> standing =
                book.ofIds(stuck.stream().map(TrialTray::batchId).toList());
        List<Tray> drawn = new ArrayList<>();
        List<TrialReading.Tray> counted = new ArrayList<>();
        int judged = 0;
        for (int t = 0; t < layout.trays().size(); t++) {
            int number = t;
            Optional<TrialTray> tray =
                    stuck.stream().filter(s -> s.tray() == number).findFirst();
            // A tray whose batch was withdrawn never was; what was counted, rather than seen cell by cell, tells of no
            // arm.
            List<PieceView> pieces = tray.filter(s -> standing.containsKey(s.batchId()))
                    .flatMap(s -> book.looks(s.batchCode()).history())
                    .map(h -> h.pieces().stream().filter(p -> !p.byCount()).toList())
                    .orElse(List.of());
            judged += (int) pieces.stream().filter(Trials::isJudged).count();
            drawn.add(new Tray(
                    t + 1,
                    tray.map(TrialTray::batchCode).orElse(null),
                    layout.trays().get(t),
                    seen ? states(layout.trays().get(t), pieces) : null));
            counted.add(count(t, layout, pieces, view.days().closedOn() != null));
        }
        int of = layout.trays().stream()
                .mapToInt(c ->
                        (int) c.stream().filter(a -> a != TrialLayout.EMPTY).count())
                .sum();
        return new Sheet(
                view,
                drawn,
                judged,
                of,
                since(standing.values().stream()),
                seen ? result(view, counted) : Optional.empty(),
                seen ? Edges.of(view.size(), drawn) : Optional.empty());
    }

    private static Optional<TrialReading> result(TrialView view, List<TrialReading.Tray> counted) {
        boolean two = counted.stream()
                .anyMatch(c -> c.of().stream().filter(n -> n > 0).count() > 1);
        return two ? Optional.of(TrialReading.of(view.asks().arms(), counted)) : Optional.empty();
    }

    private static boolean isJudged(PieceView p) {
        return p.wasReady() || p.state() == PieceState.READY || p.state().isEnd();
    }

    /** Once a trial is closed, what has not come by its end has not come. */
    private static TrialReading.Tray count(int tray, TrialLayout layout, List<PieceView> pieces, boolean closed) {
        List<Integer> arms = layout.armsOfPieces(tray);
        int[] kept = new int[layout.arms()];
        int[] of = new int[layout.arms()];
        for (PieceView p : pieces) {
            int arm = p.piece() <= arms.size() ? arms.get(p.piece() - 1) : TrialLayout.EMPTY;
            boolean ready = p.wasReady() || p.state() == PieceState.READY;
            boolean counts = p.state() != PieceState.SENT && (isJudged(p) || (closed && p.lookedOn() > 0));
            if (arm != TrialLayout.EMPTY && (counts || ready)) {
                of[arm]++;
                kept[arm] += ready ? 1 : 0;
            }
        }
        return new TrialReading.Tray(
                String.valueOf(tray + 1),
                Arrays.stream(kept).boxed().toList(),
                Arrays.stream(of).boxed().toList());
    }

    private static List<PieceState> states(List<Integer> cells, List<PieceView> pieces) {
        List<PieceState> states = new ArrayList<>();
        int piece = 0;
        for (int arm : cells) {
            if (arm == TrialLayout.EMPTY) {
                states.add(null);
            } else {
                int number = ++piece;
                states.add(pieces.stream()
                        .filter(p -> p.piece() == number)
                        .map(p -> p.wasReady() ? PieceState.READY : p.state())
                        .findFirst()
                        .orElse(null));
            }
        }
        return states;
    }

    /**
     * Closes a trial at its planned end, and keeps what it came to.
     *
     * @throws InvalidField if the end has not come and pieces wait, or nothing was looked at
     */
    @Transactional
    void close(UUID id) {
        Sheet before = sheet(id);
        if (!before.mayClose(today.date())) {
            throw new InvalidField(
                    "close",
                    Messages.text("Trials.not.yet", "end", before.trial().days().endsOn()));
        }
        Trial trial = trial(id);
        trial.closed(today.date(), null);
        trials.flush();
        TrialReading result =
                sheet(id).result().orElseThrow(() -> new InvalidField("close", Messages.text("Trials.nothing.seen")));
        trial.closed(today.date(), inWords(result));
    }

    /** What a reading says: the verdict, then what each arm came to. */
    String inWords(TrialReading reading) {
        List<String> said = reading.says().stream().map(words::of).toList();
        return said.size() == 1
                ? said.get(0)
                : said.get(0) + " " + String.join(", ", said.subList(1, said.size())) + ".";
    }

    /**
     * The planned end is moved; whoever saw the arms before it is named on the page.
     *
     * @throws InvalidField if the trial is closed, or the day is past
     */
    @Transactional
    void moveEnd(UUID id, LocalDate end) {
        Trial trial = trial(id);
        refuseEnd(end);
        if (trial.view().days().closedOn() != null) {
            throw new InvalidField("end", Messages.text("Trials.closed"));
        }
        trial.endsOn(end);
    }

    /** A closing that was too early is taken back: the arms were seen, which stays written down. */
    @Transactional
    void reopen(UUID id) {
        Trial trial = trial(id);
        if (trial.view().days().closedOn() == null) {
            throw new InvalidField("close", Messages.text("Trials.open"));
        }
        trial.closed(null, null);
        trial.peeked(today.date(), who());
    }

    private void refuseEnd(LocalDate end) {
        if (end == null
                || !end.isAfter(today.date())
                || end.isAfter(today.date().plusDays(MOST_DAYS))) {
            throw new InvalidField("end", Messages.text("Trials.end"));
        }
    }

    /** What a closed trial says is done from now on. */
    @Transactional
    String makeUsual(UUID id) {
        Sheet sheet = sheet(id);
        TrialReading result = sheet.result().orElseThrow(() -> new NotFound(Messages.text("Trials.it.is.not.closed")));
        String better = sheet.trial()
                .asks()
                .arms()
                .get(result.best().orElseThrow(() -> new InvalidField("usual", Messages.text("Trials.no.better"))));
        usual.make(
                sheet.trial().asks().plant(),
                sheet.trial().asks().factor().name(),
                better,
                sheet.trial().said());
        return better;
    }
}
