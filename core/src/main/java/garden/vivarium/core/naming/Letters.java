package garden.vivarium.core.naming;

/** Which letters words have, as bits: what two words can have in common at the most, told without comparing them letter by letter. */
final class Letters {

    private Letters() {}

    /** A bit for each letter of a word that has any of it. */
    static int of(String word) {
        int bits = 0;
        for (int i = 0; i < word.length(); i++) {
            bits |= 1 << (word.charAt(i) % Integer.SIZE);
        }
        return bits;
    }

    /** How many letters stand in one of two words and not in the other, at the least. */
    static int apart(int one, int other) {
        return Integer.bitCount(one ^ other);
    }
}
