package garden.vivarium.core.compare;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/**
 * Where the pieces of each arm stand in the trays of a trial: randomised complete blocks of neighbouring cells, row by row, so that a warm end or a dry
 * edge bears on all arms alike. The same seed always gives the same layout.
 *
 * @param arms how many, 2 to 4
 * @param trays one list a tray: the arm of each cell, from 0, row by row; −1 for a cell that stays empty
 */
public record TrialLayout(int arms, List<List<Integer>> trays) {

    /** A cell that stays empty. */
    public static final int EMPTY = -1;

    private static final int MOST_ARMS = 4;
    private static final int MOST_CELLS = 2000;

    public TrialLayout {
        trays = trays.stream().map(List::copyOf).toList();
    }

    /**
     * Draws a layout.
     *
     * @param arms 2 to 4
     * @param perArm pieces of each arm in all, 1 and up
     * @param rows of a tray
     * @param columns of a tray
     * @param seed of the draw
     */
    public static TrialLayout draw(int arms, int perArm, int rows, int columns, long seed) {
        int cells = rows * columns;
        if (arms < 2
                || arms > MOST_ARMS
                || perArm < 1
                || rows < 1
                || columns < 1
                || cells > MOST_CELLS
                || cells < arms) {
            throw new IllegalArgumentException("a trial has 2 to 4 arms in trays that hold one of each");
        }
        Random random = new Random(seed);
        int blocksInTray = cells / arms;
        int trays = (perArm + blocksInTray - 1) / blocksInTray;
        List<List<Integer>> drawn = new ArrayList<>();
        for (int t = 0; t < trays; t++) {
            // Trays hold alike many, so that none tells alone.
            int blocks = perArm / trays + (t < perArm % trays ? 1 : 0);
            List<Integer> tray = new ArrayList<>();
            for (int b = 0; b < blocks; b++) {
                List<Integer> block = new ArrayList<>();
                for (int arm = 0; arm < arms; arm++) {
                    block.add(arm);
                }
                Collections.shuffle(block, random);
                tray.addAll(block);
            }
            while (tray.size() < cells) {
                tray.add(EMPTY);
            }
            drawn.add(tray);
        }
        return new TrialLayout(arms, drawn);
    }

    /** Pieces in a tray. */
    public int pieces(int tray) {
        return (int) trays.get(tray).stream().filter(a -> a != EMPTY).count();
    }

    /** The arms of a tray's pieces by their numbers, the first piece first: empty cells have no number. */
    public List<Integer> armsOfPieces(int tray) {
        return trays.get(tray).stream().filter(a -> a != EMPTY).toList();
    }
}
