package garden.vivarium.app.stock;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.naming.NameReading;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What plants are: their names, kinds, groups and rights, and the ways that a nursery strikes off or adds. */
@Service
public class Plants {

    /** What a form says of a plant whose kind the guide is not to look for. */
    static final String NO_KIND = "-";

    private static final int LONGEST_WORD = 200;
    /** So many kinds are named in a question. */
    private static final int MOST_SAID = 4;

    private final PlantRepository plants;
    private final PlantWayRepository ways;
    private final StockPlantRepository stock;
    private final UsualWayRepository usual;
    private final Guide guide;
    private final KindsCalled called;
    private final CurrentNursery nursery;
    private final ApplicationEventPublisher events;
    private final Today today;

    Plants(
            PlantRepository plants,
            PlantWayRepository ways,
            StockPlantRepository stock,
            UsualWayRepository usual,
            Guide guide,
            KindsCalled called,
            CurrentNursery nursery,
            ApplicationEventPublisher events,
            Today today) {
        this.plants = plants;
        this.ways = ways;
        this.stock = stock;
        this.usual = usual;
        this.guide = guide;
        this.called = called;
        this.nursery = nursery;
        this.events = events;
        this.today = today;
    }

    @Transactional(readOnly = true)
    public List<PlantView> all() {
        return plants.findAllByOrderByName().stream().map(Plant::view).toList();
    }

    @Transactional(readOnly = true)
    public Optional<PlantView> find(UUID id) {
        return plants.findById(id).map(Plant::view);
    }

    /** The plant of the name; made, as free to propagate, if unknown. */
    @Transactional
    public PlantView named(String name, String groupIfNew) {
        return plants.findByName(name)
                .orElseGet(() -> plants.save(new Plant(
                        name, kind("", name, groupIfNew), groupIfNew, Protection.FREE, flowersOnce(groupIfNew))))
                .view();
    }

    /** The plant that a form names, made if it is new; what the form says of a plant that is here already is not asked. */
    Plant named(StockPlantForm form) {
        return plants.findByName(form.name().plant()).orElseGet(() -> {
            String kind = kind(form);
            String group = group(form, kind);
            Plant made =
                    new Plant(form.name().plant(), kind, group, form.rights().protection(), false);
            describe(made, form, kind, group, flowersOnce(group) || form.name().flowersOnce());
            return plants.save(made);
        });
    }

    /**
     * Changes what a plant is.
     *
     * @throws InvalidField if another plant has the name already, or the group or kind is unknown
     */
    void change(Plant plant, StockPlantForm form) {
        Plant other = plants.findByName(form.name().plant()).orElse(plant);
        if (!other.getId().equals(plant.getId())) {
            throw new InvalidField(
                    "plant",
                    Messages.text("Plants.name.taken", "name", other.view().name()));
        }
        PlantView before = plant.view();
        plant.rename(form.name().plant());
        if (!before.name().equals(form.name().plant())) {
            carryUsual(before.name(), form.name().plant());
        }
        String kind = kind(form);
        describe(plant, form, kind, group(form, kind), form.name().flowersOnce());
        if (!before.grown().equals(plant.view().grown())) {
            events.publishEvent(new PlantChanged(plant.getId(), plant.view()));
        }
    }

    /**
     * Two plants that are one are made one, with all their stock plants and batches.
     *
     * @param from which goes
     * @param into which stays
     * @return what stays
     */
    @Transactional
    public PlantView merge(UUID from, UUID into) {
        if (from.equals(into)) {
            throw new InvalidField("into", Messages.text("Plants.same.plant"));
        }
        Plant gone = plants.findById(from).orElseThrow(() -> new NotFound(Messages.text("Plants.no.such.plant.2")));
        Plant stays = plants.findById(into)
                .orElseThrow(() -> new InvalidField("into", Messages.text("Plants.no.such.plant")));
        stock.findByPlantId(from).forEach(s -> s.of(stays));
        ways.findByPlantIdOrderByMethod(from).forEach(w -> {
            if (ways.findByPlantIdAndMethod(into, w.view().method()).isEmpty()) {
                w.of(into);
            } else {
                ways.delete(w);
            }
        });
        carryUsual(gone.view().name(), stays.view().name());
        events.publishEvent(new PlantChanged(from, stays.view()));
        plants.flush();
        plants.delete(gone);
        return stays.view();
    }

    /** What is usual for a plant goes with its name; what is usual for the one that stays, stays. */
    private void carryUsual(String from, String into) {
        usual.findByPlant(from).forEach(u -> {
            if (usual.findByPlantAndFactor(into, u.view().factor()).isEmpty()) {
                u.of(into);
            } else {
                usual.delete(u);
            }
        });
    }

    /** What the nursery has said of methods with a plant. */
    @Transactional(readOnly = true)
    public List<PlantWayView> ways(UUID plant) {
        return ways.findByPlantIdOrderByMethod(plant).stream()
                .map(PlantWay::view)
                .toList();
    }

    /** Strikes a method off for a plant, with a word why. */
    @Transactional
    public void strike(UUID plant, String method, String word) {
        say(plant, method, true, word);
    }

    /** Adds a method that the guide calls unusual for a plant's kind, with a word why. */
    @Transactional
    public void add(UUID plant, String method, String word) {
        say(plant, method, false, word);
    }

    private void say(UUID plant, String method, boolean struck, String word) {
        String known = guide.method(method)
                .map(Method::name)
                .orElseThrow(() -> new InvalidField("method", Messages.text("Plants.no.such.method")));
        if (word == null || word.isBlank()) {
            throw new InvalidField("word", Messages.text("Plants.word.needed"));
        }
        if (word.length() > LONGEST_WORD) {
            throw new InvalidField("word", Messages.text("Plants.word.too.long"));
        }
        takeBack(plant, known);
        ways.save(new PlantWay(
                plant,
                known,
                struck,
                word.strip(),
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now()));
    }

    /** Takes back what was said of a method with a plant. */
    @Transactional
    public void takeBack(UUID plant, String method) {
        ways.findByPlantIdAndMethod(plant, method).ifPresent(w -> {
            ways.delete(w);
            ways.flush();
        });
    }

    /**
     * Finds the kinds of plants of which nobody has said, by their names, where the guide has the name as it is written and the
     * group is the same.
     */
    @Transactional
    public List<PlantView> findKinds() {
        return plants.findByKindIsNull().stream()
                .map(p -> {
                    PlantView seen = p.view();
                    NameReading<PlantKind> read = called.read(seen.name(), seen.group());
                    p.is(read.taken()
                            .filter(k -> read.isAsWritten() && k.group().equals(seen.group()))
                            .map(PlantKind::key)
                            .orElse(""));
                    return p.view();
                })
                .toList();
    }

    private void describe(Plant plant, StockPlantForm form, String kind, String group, boolean flowersOnce) {
        plant.describe(
                kind,
                group,
                form.rights().protection(),
                form.rights().licence(),
                !form.name().nameUnsure(),
                form.name().confirmWhen(),
                flowersOnce);
    }

    private String kind(StockPlantForm form) {
        return kind(form.name().kind(), form.name().plant(), form.name().group());
    }

    /**
     * Refuses a form of whose plant neither its name, its group nor a choice says which kind it is, though kinds are called so.
     *
     * @throws InvalidField of the kind, naming those that may be meant
     */
    void refuseUnclear(StockPlantForm form) {
        String name = form.name().plant();
        boolean isChosen = form.name().kind() != null && !form.name().kind().isBlank();
        if (isChosen || plants.findByName(name).isPresent()) {
            return;
        }
        NameReading<PlantKind> read =
                called.read(name, form.name().group() == null ? "" : form.name().group());
        if (read instanceof NameReading.Asked) {
            throw new InvalidField("kind", Messages.text("Plants.which.kind", "name", name, "kinds", offered(read)));
        }
    }

    /** The kind that was chosen or, where none was, that of the name; empty where the guide does not know it. */
    private String kind(String chosen, String name, String group) {
        if (NO_KIND.equals(chosen)) {
            return "";
        }
        if (chosen != null && !chosen.isBlank()) {
            String key = guide.kind(chosen)
                    .orElseThrow(() -> new InvalidField("kind", Messages.text("Plants.no.such.kind")))
                    .key();
            called.chosen(name, key);
            return key;
        }
        NameReading<PlantKind> read = called.read(name, group == null ? "" : group);
        return read.taken().map(PlantKind::key).orElse("");
    }

    /** The first kinds of a question, in words. */
    static String offered(NameReading<PlantKind> read) {
        return read.meanings().stream()
                .limit(MOST_SAID)
                .map(k ->
                        "%s (%s)".formatted(k.names().name(), k.names().latin().get(0)))
                .collect(Collectors.joining(", "));
    }

    private String group(StockPlantForm form, String kind) {
        String chosen = form.name().group();
        if (chosen == null || chosen.isBlank()) {
            return guide.kind(kind)
                    .map(k -> k.group())
                    .orElseThrow(() -> new InvalidField("group", Messages.text("Plants.group.needed")));
        }
        return guide.group(chosen)
                .orElseThrow(() -> new InvalidField("group", Messages.text("Stock.group.not.guide.choose")))
                .key();
    }

    private boolean flowersOnce(String group) {
        return guide.group(group).map(PlantGroup::flowersOnce).orElse(false);
    }
}
