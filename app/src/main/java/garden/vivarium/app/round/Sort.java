package garden.vivarium.app.round;

import garden.vivarium.app.bench.Task;
import garden.vivarium.core.watch.HandWork;

/** Sorts of things on a round, in the order of the work: what dries out or tangles first. */
enum Sort {
    STICK("to stick", HandWork.STICK),
    POT("to pot up", HandWork.POT),
    SEPARATE("to take young plants from", HandWork.SEPARATE),
    WATER("to water", HandWork.TEND),
    FEED("to feed", HandWork.TEND),
    AIR("to open further", HandWork.TEND),
    TEND("to tend", HandWork.TEND),
    ASK("to glance at", HandWork.ASK),
    LOOK("to look at", HandWork.LOOK),
    SETTLE("to see whether they settled", HandWork.SETTLE),
    CLEAR("to give up", HandWork.CLEAR),
    START("to start", HandWork.START),
    OTHER("other", HandWork.OTHER);

    private final String words;
    private final HandWork work;

    Sort(String words, HandWork work) {
        this.words = words;
        this.work = work;
    }

    public String words() {
        return words;
    }

    HandWork work() {
        return work;
    }

    /** Whether several can be done with one press. Nothing is potted, stuck or thrown out unasked. */
    boolean isDoneTogether() {
        return this == LOOK || this == TEND || this == SETTLE || this == WATER || this == FEED || this == AIR;
    }

    static Sort of(Task.Kind kind) {
        return switch (kind) {
            case STICK -> STICK;
            case MOVE -> POT;
            case SEPARATE -> SEPARATE;
            case TEND -> TEND;
            case ASK -> ASK;
            case LOOK -> LOOK;
            case SETTLE -> SETTLE;
            case GIVE_UP -> CLEAR;
        };
    }
}
