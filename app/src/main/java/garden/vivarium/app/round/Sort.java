package garden.vivarium.app.round;

import garden.vivarium.app.bench.Task;
import garden.vivarium.app.platform.Named;
import garden.vivarium.core.watch.HandWork;

/** Sorts of things on a round, in the order of the work: what dries out or tangles first. */
enum Sort implements Named {
    STICK(HandWork.STICK),
    POT(HandWork.POT),
    SEPARATE(HandWork.SEPARATE),
    WATER(HandWork.TEND),
    FEED(HandWork.TEND),
    AIR(HandWork.TEND),
    TEND(HandWork.TEND),
    ASK(HandWork.ASK),
    LOOK(HandWork.LOOK),
    SETTLE(HandWork.SETTLE),
    CLEAR(HandWork.CLEAR),
    START(HandWork.START),
    OTHER(HandWork.OTHER);
    private final HandWork work;

    Sort(HandWork work) {
        this.work = work;
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
