package garden.vivarium.app.exchange;

import static garden.vivarium.app.exchange.Column.Sort.CODE;
import static garden.vivarium.app.exchange.Column.Sort.COUNT;
import static garden.vivarium.app.exchange.Column.Sort.DAY;
import static garden.vivarium.app.exchange.Column.Sort.GROUP;
import static garden.vivarium.app.exchange.Column.Sort.MEDIUM;
import static garden.vivarium.app.exchange.Column.Sort.METHOD;
import static garden.vivarium.app.exchange.Column.Sort.PLANT;
import static garden.vivarium.app.exchange.Column.Sort.TEXT;

import java.util.List;

/** The columns of {@code history.csv}, and what they are called in notebooks. */
final class HistoryColumns {

    static final List<Column> ALL = List.of(
            Column.optional(
                    "batch", "Batch, by its old name", TEXT, "batch no", "batch code", "code", "label", "id", "tray"),
            Column.needed("plant", "Plant", PLANT, "variety", "cultivar", "species", "name", "plant name", "what"),
            Column.optional("group", "Group of a new plant", GROUP, "plant group"),
            Column.optional("stock", "Stock plant", TEXT, "stock plant", "mother", "mother plant", "from", "parent"),
            Column.needed(
                    "method",
                    "Method",
                    METHOD,
                    "how",
                    "type",
                    "cutting type",
                    "kind of cutting",
                    "technique",
                    "material"),
            Column.needed("medium", "Medium", MEDIUM, "substrate", "in", "mix", "rooting medium", "compost", "soil"),
            Column.optional("treatment", "Treatments", TEXT, "treatments", "hormone", "rooting hormone", "treated"),
            Column.optional(
                    "taken_on", "Day taken", DAY, "taken", "date taken", "cut on", "cut", "date cut", "taken on"),
            Column.optional("taken", "Pieces taken", COUNT, "number taken", "no taken", "cut number"),
            Column.needed(
                    "stuck_on",
                    "Day stuck",
                    DAY,
                    "date",
                    "stuck",
                    "date stuck",
                    "started",
                    "start",
                    "planted",
                    "planted on",
                    "date planted",
                    "day",
                    "stuck on",
                    "set",
                    "start date"),
            Column.needed(
                    "stuck",
                    "Pieces stuck",
                    COUNT,
                    "number",
                    "no stuck",
                    "how many",
                    "count",
                    "quantity",
                    "qty",
                    "pieces",
                    "cuttings",
                    "number stuck",
                    "total",
                    "n",
                    "no"),
            Column.optional(
                            "looked_on",
                            "Day of the look",
                            DAY,
                            "looked",
                            "checked",
                            "date checked",
                            "checked on",
                            "look on",
                            "date rooted",
                            "rooted on",
                            "looked at",
                            "last look",
                            "potted",
                            "potted on",
                            "date potted")
                    .neededWith("ready"),
            Column.optional("look", "How it was looked at", CODE),
            Column.optional("first_sign", "First roots seen", COUNT, "callused", "with roots", "first roots"),
            Column.optional(
                    "ready",
                    "Rooted so far",
                    COUNT,
                    "rooted",
                    "ready",
                    "success",
                    "took",
                    "struck",
                    "alive",
                    "survived",
                    "number rooted",
                    "no rooted",
                    "potted up",
                    "good",
                    "ok"),
            Column.optional(
                            "lost",
                            "Lost so far",
                            COUNT,
                            "dead",
                            "died",
                            "failed",
                            "rotted",
                            "losses",
                            "lost",
                            "number lost",
                            "no lost")
                    .neededWith("ready"),
            Column.optional("sent", "Sent away", COUNT, "sent away", "given", "sold"),
            Column.optional("young_plants", "Young plants", COUNT, "plants", "plants made"),
            Column.optional("note", "Note", TEXT, "notes", "remarks", "comment", "comments"));

    private HistoryColumns() {}
}
