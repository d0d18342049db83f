package garden.vivarium.app.divide;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.divide.Growth;
import garden.vivarium.core.divide.Lying;
import garden.vivarium.core.divide.Tie;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A plant as it was drawn, in a line of text that is kept and sent: "1,40,60,rf;2,80,60,rlf|1-2". Each growth has its number, where it lies
 * on the sheet, and letters: r for roots, l for a lead, f for a leaf, d for dead; then the ties.
 *
 * @param text as it is kept
 * @param plant what it means
 */
record Drawn(String text, Lying plant) {

    /** A drawing of as many growths as can be is no longer. */
    static final int LONGEST = 2000;

    private static final Pattern GROWTH = Pattern.compile("(\\d{1,3}),-?\\d{1,4},-?\\d{1,4},([rlfd]*)");
    private static final Pattern TIE = Pattern.compile("(\\d{1,3})-(\\d{1,3})");

    private static Tie tie(Matcher found) {
        return Tie.between(Integer.parseInt(found.group(1)), Integer.parseInt(found.group(2)));
    }

    /**
     * Reads cuts as somebody writes them: "4-5, 7-8".
     *
     * @throws InvalidField if one is no cut between two growths that hang together
     */
    List<Tie> cuts(String typed) {
        if (typed == null || typed.isBlank()) {
            return List.of();
        }
        List<Tie> cuts = new ArrayList<>();
        for (String each : typed.strip().split("[,;\\s]+")) {
            Matcher found = TIE.matcher(each);
            if (typed.length() > LONGEST || !found.matches() || found.group(1).equals(found.group(2))) {
                throw new InvalidField("cuts", Messages.text("Divisions.cuts.typed", "typed", each));
            }
            Tie tie = tie(found);
            if (!plant.ties().contains(tie)) {
                throw new InvalidField("cuts", Messages.text("Divisions.cuts.none", "a", tie.a(), "b", tie.b()));
            }
            cuts.add(tie);
        }
        return cuts;
    }

    /**
     * Reads a drawing.
     *
     * @throws InvalidField if it is none, or not one plant
     */
    static Drawn read(String text) {
        if (text == null || text.isBlank()) {
            throw new InvalidField("drawn", Messages.text("Drawn.nothing"));
        }
        if (text.length() > LONGEST) {
            throw new InvalidField("drawn", Messages.text("Drawn.many", "most", Lying.MOST));
        }
        String[] parts = text.strip().split("\\|", -1);
        List<Growth> growths = new ArrayList<>();
        for (String each : parts[0].split(";")) {
            Matcher found = matched(GROWTH, each);
            String letters = found.group(2);
            growths.add(new Growth(
                    Integer.parseInt(found.group(1)),
                    letters.contains("r"),
                    letters.contains("l"),
                    letters.contains("f"),
                    letters.contains("d")));
        }
        List<Tie> ties = new ArrayList<>();
        if (parts.length > 1 && !parts[1].isBlank()) {
            for (String each : parts[1].split(",")) {
                Matcher found = matched(TIE, each);
                ties.add(tie(found));
            }
        }
        try {
            return new Drawn(text.strip(), new Lying(growths, ties));
        } catch (IllegalArgumentException e) {
            String why = e.getMessage();
            throw new InvalidField("drawn", Character.toUpperCase(why.charAt(0)) + why.substring(1) + ".");
        }
    }

    private static Matcher matched(Pattern pattern, String text) {
        Matcher found = pattern.matcher(text);
        if (!found.matches()) {
            throw new InvalidField("drawn", Messages.text("Drawn.unread", "text", text));
        }
        return found;
    }
}
