package garden.vivarium.app.label;

/** What pieces stand in, in four signs that differ at arm's length. */
enum Ground {
    WATER("M2,17 C4,15 6,15 8,17 C10,19 12,19 14,17 C16,15 18,15 20,17 M4,21 C6,19 8,19 10,21 C12,23 14,23 16,21"),
    MOSS("M4,23 L6,17 L8,23 M10,23 L12,17 L14,23 M16,23 L18,17 L20,23"),
    GRIT(
            "M4,17 L6,17 L5,19 Z M11,20 L13,20 L12,22 Z M17,17 L19,17 L18,19 Z M6,22 L8,22 L7,24 Z M17,22 L19,22 L18,24 Z"),
    SOIL("M3,23 L8,16 M9,23 L14,16 M15,23 L20,16");

    private final String path;

    Ground(String path) {
        this.path = path;
    }

    /** Drawn in a box of 24 by 24, beneath the soil line. */
    String path() {
        return path;
    }

    /** That of a medium by its name. */
    static Ground of(String medium) {
        if (medium.contains("moss")) {
            return MOSS;
        }
        if (medium.contains("water")) {
            return WATER;
        }
        boolean mineral =
                medium.matches(".*\\b(perlite|vermiculite|pumice|grit|gravel|sand|clay|gritty|insect-eater)\\b.*");
        return mineral ? GRIT : SOIL;
    }
}
