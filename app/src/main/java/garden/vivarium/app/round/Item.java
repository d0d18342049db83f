package garden.vivarium.app.round;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Sentence;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.CareAct;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** One thing to do on the round. */
sealed interface Item {

    /** Where it is to be done. */
    PlaceView place();

    /** Which sort of thing it is. */
    Sort sort();

    /** Pieces that go through the hands. */
    int pieces();

    /** Whether waiting does harm. */
    boolean pressing();

    /** Whether it is a batch's task. */
    default boolean isTask() {
        return this instanceof BatchTask;
    }

    /** Whether it is a plan to start. */
    default boolean isStart() {
        return this instanceof Start;
    }

    /** Whether it is neither. */
    default boolean isOther() {
        return this instanceof OtherTask;
    }

    /** Whether it is something that is done again and again: water, feed. */
    default boolean isCare() {
        return this instanceof CareTask;
    }

    /** What names it among all that may be due. */
    String key();

    /** What it is, in a line. */
    Sentence line();

    /** What a batch needs. */
    record BatchTask(Benches.Row row, Task task) implements Item {

        @Override
        public PlaceView place() {
            return row.place();
        }

        @Override
        public Sort sort() {
            return Sort.of(task.kind());
        }

        @Override
        public int pieces() {
            return task.pieces();
        }

        @Override
        public boolean pressing() {
            return task.pressing();
        }

        @Override
        public String key() {
            return task.kind() + " " + task.batch().code() + (task.potting() == null ? "" : " " + task.potting());
        }

        @Override
        public Sentence line() {
            return Sentence.of(
                    "Item.line",
                    "code",
                    task.batch().code(),
                    "name",
                    task.batch().plant(),
                    "what",
                    task.what());
        }
    }

    /** A committed plan whose start is due. */
    record Start(PlanView plan, StockPlantView stock, String what, String why, boolean pressing) implements Item {

        @Override
        public PlaceView place() {
            return stock.place();
        }

        @Override
        public Sort sort() {
            return Sort.START;
        }

        @Override
        public String key() {
            return "START " + plan.id();
        }

        @Override
        public Sentence line() {
            return Sentence.of(
                    "Item.line", "code", stock.code(), "name", stock.plant().name(), "what", what);
        }

        @Override
        public int pieces() {
            return plan.start().take();
        }
    }

    /**
     * Something that is no batch's task: care that is due, a stock plant to see to, a promise at risk.
     *
     * @param place where
     * @param verb what is asked
     * @param subject what it concerns
     * @param what in words
     * @param why the reason
     * @param pressing whether waiting does harm
     * @param actions what may be pressed, the first by key
     */
    record OtherTask(
            PlaceView place,
            Verb verb,
            Subject subject,
            String what,
            String why,
            boolean pressing,
            List<Action> actions)
            implements Item {

        @Override
        public Sort sort() {
            return Sort.OTHER;
        }

        @Override
        public String key() {
            return verb.code() + " " + subject.address();
        }

        @Override
        public Sentence line() {
            return Sentence.of("Item.line", "code", code(), "name", subject.name(), "what", what);
        }

        @Override
        public int pieces() {
            return 0;
        }

        public String code() {
            return subject.code();
        }
    }

    /**
     * Something that is done again and again for a batch or its young plants.
     *
     * @param act what
     * @param about the move that it concerns, the batch itself where its cover is opened by steps, or null
     * @param what in words, as "Change the water"
     * @param why the reason
     */
    record CareTask(
            PlaceView place, BatchView batch, CareAct act, UUID about, String what, String why, boolean pressing)
            implements Item {

        /** In the act's own words. */
        CareTask(PlaceView place, BatchView batch, CareAct act, UUID about, String why, boolean pressing) {
            this(place, batch, act, about, Messages.text("CareAct.order", "act", act.name()), why, pressing);
        }

        @Override
        public Sort sort() {
            return switch (act) {
                case FED -> Sort.FEED;
                case AIRED -> Sort.AIR;
                case CUT_BACK, STAKED, SNAPPED -> Sort.TEND;
                default -> Sort.WATER;
            };
        }

        @Override
        public int pieces() {
            return 0;
        }

        @Override
        public String key() {
            return "CARE " + act + " " + batch.code() + (about == null ? "" : " " + about);
        }

        @Override
        public Sentence line() {
            return Sentence.of("Item.line", "code", batch.code(), "name", batch.plant(), "what", what);
        }
    }

    /**
     * What a task concerns.
     *
     * @param code its label code, or a name
     * @param address its sheet
     * @param name what it is called, or the empty text
     */
    record Subject(String code, String address, String name) {}

    /** A button: what it says, where it goes, with what. An address alone is followed rather than sent. */
    record Action(String word, String address, boolean sends, Map<String, String> with) {

        static Action go(String word, String address) {
            return new Action(word, address, false, Map.of());
        }

        /** Whether it can be said of another day than today. */
        public boolean hasDay() {
            return address.endsWith("/done") && address.startsWith("/care/");
        }

        /** Whether it is offered on a page that is turned to the day; null for today. */
        public boolean isFor(LocalDate day) {
            return sends && (day == null || hasDay());
        }

        static Action send(String word, String address, Map<String, String> with) {
            return new Action(word, address, true, with);
        }
    }
}
