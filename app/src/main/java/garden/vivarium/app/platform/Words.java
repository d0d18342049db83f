package garden.vivarium.app.platform;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Section;
import garden.vivarium.core.looks.ImpossibleLook;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Quantity;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.stock.MayCut;
import garden.vivarium.core.stock.Quarantine;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.treatment.Treatments;
import garden.vivarium.core.watch.PlaceFit;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** Puts what the core says into words; templates call it as {@code @words}. */
@Component("words")
public class Words {

    private final Messages messages;
    private final Says says;
    private final Measures measures;

    /** Words from these messages, days as these says, quantities as these measures. */
    public Words(Messages messages, Says says, Measures measures) {
        this.messages = messages;
        this.says = says;
        this.measures = measures;
    }

    /** What was left to be said. */
    public String of(Sentence sentence) {
        return messages.fill(sentence.key(), spoken(sentence.figures()));
    }

    /** What a rule says of its figures. */
    public String of(Statement statement) {
        return messages.fill(statement.rule().key(), spoken(statement.figures()));
    }

    /**
     * The words of a key with its figures.
     *
     * @param figures name and value by turns
     */
    public String say(String key, Object... figures) {
        return of(Sentence.of(key, figures));
    }

    /** A way without its plant. */
    public String way(Way way) {
        return WayWords.of(way);
    }

    /** All that is done to a piece; empty for nothing. */
    public String treatments(Treatments treatments) {
        return WayWords.of(treatments);
    }

    /** What growers call a constant. */
    public String name(Enum<?> constant) {
        return Messages.name(constant);
    }

    /** A rule that needs no figures. */
    public String of(Rule rule) {
        return of(Statement.of(rule));
    }

    /** The same within a sentence: it begins with no capital. */
    public String within(Sentence sentence) {
        return StringUtils.uncapitalize(of(sentence));
    }

    /** The figures of a step by themselves, with the formula; empty where the words say all. */
    public String figures(Statement statement) {
        return part(statement, ".figures");
    }

    /** What would do, beside what is wrong; empty where nothing would. */
    public String remedy(Statement statement) {
        return part(statement, ".remedy");
    }

    /** Reason and remedy of a finding in one. */
    public String of(MayCut.Finding finding) {
        return of(finding.says()) + " " + remedy(finding.says());
    }

    /** What is wrong with a look, and what would do. */
    public String of(ImpossibleLook look) {
        return of(look.fault()) + "; " + remedy(look.fault());
    }

    private String part(Statement statement, String which) {
        String key = statement.rule().key() + which;
        return messages.has(key) ? messages.fill(key, spoken(statement.figures())) : "";
    }

    /** A quantity is there as it is told, in full as {@code name_full}, and without its unit as {@code name_number}. */
    private Map<String, Object> spoken(Map<String, Object> figures) {
        Map<String, Object> spoken = new HashMap<>();
        figures.forEach((name, value) -> {
            spoken.put(name, spoken(value));
            if (value instanceof Quantity quantity) {
                spoken.put(name + "_number", measures.number(quantity));
                spoken.put(name + "_full", measures.inFull(quantity, measures.number(quantity)));
            } else if (value instanceof Quantity.Roughly rough) {
                spoken.put(name + "_full", measures.inFull(rough.quantity(), measures.number(rough)));
            } else if (value instanceof Quantity.Between range) {
                spoken.put(name + "_span", measures.span(range));
            }
        });
        return spoken;
    }

    /** A figure as a sentence has it: numbers stay numbers, for the sentence to round them. */
    private Object spoken(Object value) {
        if (value instanceof LocalDate day) {
            return says.day(day);
        } else if (value instanceof Quantity quantity) {
            return measures.told(quantity);
        } else if (value instanceof Quantity.Between range) {
            return measures.told(range);
        } else if (value instanceof Quantity.Roughly rough) {
            return measures.told(rough);
        } else if (value instanceof Prose prose) {
            return measures.told(prose);
        } else if (value instanceof Unit unit) {
            return measures.unit(unit);
        } else if (value instanceof Sentence sentence) {
            return of(sentence);
        } else if (value instanceof Sentence.Ago ago) {
            return says.away(ago.day());
        } else if (value instanceof Sentence.Cased cased) {
            String told = String.valueOf(spoken(cased.figure()));
            return cased.capital() ? StringUtils.capitalize(told) : StringUtils.uncapitalize(told);
        } else if (value instanceof Statement statement) {
            return of(statement);
        } else if (value instanceof Optional<?> perhaps) {
            return perhaps.isPresent() ? spoken(perhaps.get()) : "none";
        } else if (value instanceof Boolean yes) {
            return yes ? "yes" : "no";
        } else if (value instanceof List<?> list) {
            return spoken(list);
        } else if (value instanceof Way way) {
            return way(way);
        } else if (value instanceof Section section) {
            return name(section);
        } else if (value instanceof LookKind kind) {
            return name(kind);
        } else if (value instanceof PieceState state) {
            return name(state);
        } else if (value instanceof Quarantine.Pest pest) {
            return name(pest);
        } else if (value instanceof PlaceFit.Light light) {
            return name(light);
        } else if (value instanceof ImpossibleLook.Field field) {
            return messages.say("Field." + field.name());
        }
        return value;
    }

    /** Whole numbers as "3, 4"; shares as "1: 45%, 2: 55%". */
    private String spoken(List<?> list) {
        return IntStream.range(0, list.size())
                .mapToObj(i -> list.get(i) instanceof Double share
                        ? "%d: %s".formatted(i + 1, says.percent(share))
                        : says.number(((Number) list.get(i)).longValue()))
                .collect(Collectors.joining(", "));
    }
}
