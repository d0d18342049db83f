package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.LookRefused;
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

    /** A line whose look was refused. */
    static InvalidLine of(long line, String otherwise, LookRefused refusal) {
        return of(line, otherwise, refusal.what(), refusal.fault(), refusal.remedy());
    }

    /** A line whose look cannot be true; the refusal's own field decides the column where the file has one of that name. */
    static InvalidLine of(long line, String otherwise, ImpossibleLook.Field what, String fault, String remedy) {
        String column = switch (what) {
            case DAY -> "looked_on";
            case PIECE -> otherwise;
            case LOOK, FIRST_SIGN, READY, LOST, SENT -> what.name().toLowerCase(Locale.ROOT);
        };
        return new InvalidLine(line, column, fault + ".", StringUtils.capitalize(remedy));
    }
}
