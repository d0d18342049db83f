package garden.vivarium.app.exchange;

import garden.vivarium.core.looks.ImpossibleLook;
import java.util.Locale;
import org.springframework.util.StringUtils;

/**
 * A line of a file that cannot be read.
 *
 * @param line its number, the header being 1
 * @param column its column, or "—" for the line as a whole
 * @param fault what is wrong
 * @param remedy what would do
 */
public record InvalidLine(long line, String column, String fault, String remedy) {

    /** A line whose look cannot be true; the refusal's own field decides the column where the file has one of that name. */
    static InvalidLine of(long line, String otherwise, ImpossibleLook refusal) {
        String column = switch (refusal.field()) {
            case DAY -> "looked_on";
            case PIECE -> otherwise;
            case LOOK, FIRST_SIGN, READY, LOST, SENT -> refusal.field().name().toLowerCase(Locale.ROOT);
        };
        return new InvalidLine(line, column, refusal.fault() + ".", StringUtils.capitalize(refusal.remedy()));
    }
}
