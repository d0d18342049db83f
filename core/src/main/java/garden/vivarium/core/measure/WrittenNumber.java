package garden.vivarium.core.measure;

import java.util.Optional;

/**
 * Numbers as people write them. A comma before exactly three digits groups thousands, any other is a decimal comma; blanks and apostrophes
 * between groups of three digits group too.
 */
public final class WrittenNumber {

    private WrittenNumber() {}

    /**
     * A number; empty for what is none.
     *
     * @param groups whether a comma may group: never in a share in per cent
     */
    public static Optional<Double> read(String written, boolean groups) {
        String plain = written.strip()
                .replaceAll("(?<=\\d)[\\s\\u00a0\\u202f'’](?=\\d{3}(?!\\d))", "")
                .replace('·', '.')
                .replace('−', '-');
        plain = groups && plain.matches("-?[1-9]\\d{0,2}(,\\d{3})+(\\.\\d+)?")
                ? plain.replace(",", "")
                : plain.replace(',', '.');
        return plain.matches("-?\\d+(\\.\\d+)?") ? Optional.of(Double.valueOf(plain)) : Optional.empty();
    }
}
