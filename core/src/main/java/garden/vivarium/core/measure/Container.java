package garden.vivarium.core.measure;

/** What mix is filled into: a pot, a tray of cells, a basket. */
public sealed interface Container permits Pot, Container.Square, Container.Cells, Container.Basket {

    /** What it holds to the brim, in litres. */
    double litres();

    /** What it holds up to so many cm below its rim, in litres, before the mix settles. */
    double upTo(double headspaceCm);

    /** The open area at its rim, in cm². */
    double mouth();

    /** Litres of top dressing of so many cm. */
    default double dressing(double cm) {
        return mouth() * cm / 1000;
    }

    /**
     * Loose mix that fills it.
     *
     * @param headspaceCm room left below the rim, in cm, 0 and up
     * @param rootBall litres of roots and old mix that go in with the plant, 0 and up
     * @param settling by how much loose mix sinks, 1 and up: {@link Pot#SETTLING} unless the recipe says otherwise
     */
    default double loose(double headspaceCm, double rootBall, double settling) {
        return settling * Math.max(0, upTo(headspaceCm) - rootBall);
    }

    /** A frustum of parallel areas, in litres: h(A₁ + A₂ + √(A₁A₂))/3. */
    private static double frustum(double above, double below, double high) {
        return high * (above + below + Math.sqrt(above * below)) / 3 / 1000;
    }

    /**
     * A square pot.
     *
     * @param top side of its mouth in cm, above 0
     * @param base side of its base in cm, above 0
     * @param height in cm, above 0
     */
    record Square(double top, double base, double height) implements Container {

        public Square {
            if (!(top > 0) || !(base > 0) || !(height > 0)) {
                throw new IllegalArgumentException("a pot has a mouth, a base and a height above 0 cm");
            }
        }

        /** The usual shape of a square pot of a size: as high as wide, its base three quarters of its mouth. */
        public static Square across(double cm) {
            return new Square(cm, 0.75 * cm, cm);
        }

        @Override
        public double litres() {
            return upTo(0);
        }

        @Override
        public double upTo(double headspaceCm) {
            double filled = Math.max(0, height - headspaceCm);
            double surface = base + (top - base) * filled / height;
            return frustum(surface * surface, base * base, filled);
        }

        @Override
        public double mouth() {
            return top * top;
        }
    }

    /**
     * A tray of cells, filled level.
     *
     * @param count cells, 1 and up
     * @param millilitres of one, above 0
     * @param areaCm2 of the whole tray's top, above 0
     */
    record Cells(int count, double millilitres, double areaCm2) implements Container {

        /** A usual tray's inside. */
        private static final double TRAY = 54.0 * 28;

        public Cells {
            if (count < 1 || !(millilitres > 0) || !(areaCm2 > 0)) {
                throw new IllegalArgumentException("a tray has a cell or more, of above 0 mL");
            }
        }

        /** In a tray of the usual size. */
        public static Cells of(int count, double millilitres) {
            return new Cells(count, millilitres, TRAY);
        }

        @Override
        public double litres() {
            return count * millilitres / 1000;
        }

        @Override
        public double upTo(double headspaceCm) {
            return litres();
        }

        @Override
        public double mouth() {
            return areaCm2;
        }
    }

    /**
     * A hanging basket: half an ellipsoid, ⅔πr²h.
     *
     * @param across of its rim in cm, above 0
     * @param deep in cm, above 0
     */
    record Basket(double across, double deep) implements Container {

        public Basket {
            if (!(across > 0) || !(deep > 0)) {
                throw new IllegalArgumentException("a basket has a width and a depth above 0 cm");
            }
        }

        @Override
        public double litres() {
            return upTo(0);
        }

        @Override
        public double upTo(double headspaceCm) {
            // From the bottom up to a height z of a half ellipsoid of depth h: πr²(z²/h − z³/(3h²)).
            double r = across / 2;
            double z = Math.max(0, deep - headspaceCm);
            return Math.PI * r * r * (z * z / deep - z * z * z / (3 * deep * deep)) / 1000;
        }

        @Override
        public double mouth() {
            return Math.PI * across * across / 4;
        }
    }
}
