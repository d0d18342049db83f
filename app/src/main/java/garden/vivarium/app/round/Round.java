package garden.vivarium.app.round;

import garden.vivarium.app.stock.PlaceView;
import java.util.List;
import java.util.UUID;

/**
 * The round of a day.
 *
 * @param stops places in walking order, each with what is due there
 * @param coming what falls due in the next seven days, soonest first
 * @param later what is due and was put off, soonest first
 * @param openBatches how many batches are open at all
 */
record Round(List<Stop> stops, List<Item.BatchTask> coming, List<Later> later, int openBatches) {

    /** So many things, of the first places of the walk, are on the page at once; the others come when their place is opened. */
    static final int SHOWN = 40;

    /** So much of what comes in the next days is on the page at once. */
    private static final int SOON = 20;

    /** Something due that somebody put off. */
    record Later(Item item, PutOffs.Off off) {}

    /**
     * A place with what is due there.
     *
     * @param groups like things together, in the order of the work
     * @param carry what to take along, in words; empty where bare hands do
     */
    record Stop(PlaceView place, List<Group> groups, List<String> carry) {

        /** How many things are due there. */
        public int due() {
            return groups.stream().mapToInt(g -> g.items().size()).sum();
        }

        /** How many of them a page shows of it. */
        int shown() {
            return groups.stream().mapToInt(g -> g.first().size()).sum();
        }

        /** About how many minutes they take. */
        public int minutes() {
            return (int) Math.round(groups.stream().mapToDouble(Group::minutes).sum());
        }

        /** How many of them do harm if they wait. */
        public int pressing() {
            return (int) groups.stream()
                    .flatMap(g -> g.items().stream())
                    .filter(Item::pressing)
                    .count();
        }
    }

    /** Things of one sort at one place. */
    record Group(Sort sort, List<Item> items) {

        /** More of a sort at one place than anybody reads at once are shown when asked for. */
        private static final int SHOWN = 12;

        /** About how many minutes they take. */
        double minutes() {
            return items.stream()
                    .mapToDouble(i -> sort.work().minutes(i.pieces()))
                    .sum();
        }

        /** Those that are shown at once: what presses stands first. */
        public List<Item> first() {
            return items.subList(0, Math.min(items.size(), SHOWN));
        }

        /** How many are not. */
        public int more() {
            return items.size() - first().size();
        }

        /** Whether one press can do them all: what is said of each is the same. */
        public boolean isAlike() {
            return items.size() > 1 && sort.isDoneTogether();
        }
    }

    /** Whether no batch is open, and nothing is due. */
    boolean isBare() {
        return openBatches == 0 && due() == 0;
    }

    /** Whether what is due at a place is on the page while another one is open, or none: those that come first in the walk are. */
    public boolean shows(Stop stop, UUID open) {
        int before = 0;
        for (Stop s : stops) {
            before += s.shown();
            if (s.equals(stop)) {
                break;
            }
        }
        return before <= SHOWN || stop.place().id().equals(open) || stop.equals(stops.get(0));
    }

    /** What comes first of what falls due in the next days. */
    public List<Item.BatchTask> soon() {
        return coming.subList(0, Math.min(coming.size(), SOON));
    }

    /** How much more falls due in those days. */
    public int more() {
        return coming.size() - soon().size();
    }

    /** Whether everything due is on the page, and all that comes. */
    public boolean showsAll(UUID open) {
        return more() == 0 && stops.stream().allMatch(s -> shows(s, open));
    }

    /** Whether a place is unfolded: the one that was open, where something is due there still, or else the first. */
    public boolean opens(Stop stop, UUID open, boolean first) {
        return (open != null && has(open)) ? stop.place().id().equals(open) : first;
    }

    /** Whether something is due at a place still. */
    public boolean has(UUID place) {
        return stops.stream().anyMatch(s -> s.place().id().equals(place));
    }

    /** How many things are due. */
    public int due() {
        return stops.stream().mapToInt(Stop::due).sum();
    }

    /** About how many minutes they take. */
    public int minutes() {
        return stops.stream().mapToInt(Stop::minutes).sum();
    }
}
