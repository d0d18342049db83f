package garden.vivarium.core.plan;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.util.Optional;
import java.util.Set;

/**
 * How a rooted piece is set in its pot: how deep, whether tied to something, which way round, and what lies on top. Common practice by
 * method and kind of plant; the centimetres are this project's own round figures.
 *
 * @param depth how deep it stands
 * @param stake what holds it up; empty where it stands by itself
 * @param orientation which way round; empty where it makes no difference
 * @param dressing what lies on the mix; empty for nothing
 */
public record PotSetting(
        Statement depth, Optional<Statement> stake, Optional<Statement> orientation, Optional<Statement> dressing) {

    private static final Set<String> NECKED = Set.of("succulent", "cactus", "tank-rosette", "latex");
    private static final Set<String> ORCHIDS = Set.of("clumping-orchid", "single-orchid");
    private static final Set<String> LEAFY = Set.of("soft", "bedding", "woody", "climbing-aroid", "runner");

    /** How deep. */
    public enum Depth implements Rule {
        /** As deep as it stood, the lowest leaf clear of the mix. */
        AS_IT_STOOD,
        /** The uppermost root covered by a finger's breadth. */
        COVER_THE_ROOTS,
        /** The crown level with the surface. */
        CROWN_LEVEL,
        /** The neck at the surface, no leaf in the mix. */
        NECK_AT_THE_SURFACE,
        /** No deeper than it needs to stand. */
        SHALLOW,
        /** The rhizome on the surface, its roots below. */
        RHIZOME_ON_TOP,
        /** The rhizome just covered. */
        RHIZOME_COVERED,
        /** Twice its own height below the surface. */
        TWICE_ITS_HEIGHT,
        /** At the old mark of the soil. */
        OLD_MARK
    }

    /** What holds it. */
    public enum Stake implements Rule {
        /** Tied until new roots hold it. */
        UNTIL_ROOTS_HOLD,
        /** Propped while it is heavier above than below. */
        TOP_HEAVY,
        /** A pole for what climbs. */
        POLE
    }

    /** Which way round. */
    public enum Orientation implements Rule {
        /** The oldest part to the rim, the growing end to the middle. */
        OLDEST_TO_THE_RIM,
        /** Aerial roots towards the pole. */
        ROOTS_TO_THE_POLE
    }

    /** What lies on top. */
    public enum Dressing implements Rule {
        /** A centimetre of grit round the neck. */
        GRIT,
        /** Living moss. */
        MOSS
    }

    /**
     * For what a method gives of a kind of plant.
     *
     * @param method the guide's name of the method
     * @param group the guide's key of the group
     * @param grewInWater whether the roots grew in water
     * @param mix what the pot is filled with, in the protocol's words
     */
    public static PotSetting of(String method, String group, boolean grewInWater, String mix) {
        return new PotSetting(
                Statement.of(depth(method, group, grewInWater)),
                Optional.ofNullable(stake(method, group)).map(Statement::of),
                Optional.ofNullable(orientation(method, group)).map(Statement::of),
                Optional.ofNullable(dressing(group, mix)).map(Statement::of));
    }

    private static Depth depth(String method, String group, boolean grewInWater) {
        return switch (method) {
            case "bulb", "bulb scale", "twin-scale", "bulbil" -> Depth.TWICE_ITS_HEIGHT;
            case "whole leaf",
                    "leaf with stalk",
                    "leaf section",
                    "leaf base with bud",
                    "leaf pull",
                    "plantlet",
                    "root piece" -> Depth.CROWN_LEVEL;
            case "fleshy stem or pad" -> Depth.SHALLOW;
            case "rhizome division", "back-bulb" ->
                ORCHIDS.contains(group) ? Depth.RHIZOME_ON_TOP : Depth.RHIZOME_COVERED;
            case "rhizome cutting" -> Depth.RHIZOME_COVERED;
            case "clump division", "tuber section" -> Depth.OLD_MARK;
            case "offset", "rooted offset" ->
                NECKED.contains(group) || ORCHIDS.contains(group) ? Depth.NECK_AT_THE_SURFACE : Depth.CROWN_LEVEL;
            default ->
                NECKED.contains(group)
                        ? Depth.SHALLOW
                        : grewInWater && LEAFY.contains(group) ? Depth.COVER_THE_ROOTS : Depth.AS_IT_STOOD;
        };
    }

    private static Stake stake(String method, String group) {
        if (group.equals("climbing-aroid")) {
            return Stake.POLE;
        }
        if (ORCHIDS.contains(group)) {
            return Stake.UNTIL_ROOTS_HOLD;
        }
        return method.equals("fleshy stem or pad") && (group.equals("cactus") || group.equals("latex"))
                ? Stake.TOP_HEAVY
                : null;
    }

    private static Orientation orientation(String method, String group) {
        if (group.equals("climbing-aroid")) {
            return Orientation.ROOTS_TO_THE_POLE;
        }
        return switch (method) {
            case "rhizome division", "back-bulb", "rhizome cutting" -> Orientation.OLDEST_TO_THE_RIM;
            default -> null;
        };
    }

    private static Dressing dressing(String group, String mix) {
        if (group.equals("insect-eater")) {
            return Dressing.MOSS;
        }
        boolean gritty = mix.contains("grit") || mix.contains("pumice");
        return gritty && (NECKED.contains(group) || group.equals("bulb")) ? Dressing.GRIT : null;
    }
}
