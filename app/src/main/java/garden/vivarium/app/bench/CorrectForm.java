package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.HowDone;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.batch.Origin;
import garden.vivarium.app.batch.Taking;
import garden.vivarium.app.batch.Vessel;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.treatment.Treatments;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/** The facts of a batch as somebody corrects them, part by part. */
record CorrectForm(
        @Valid From from,
        @Valid Days days,
        @Valid Stands stands,
        @Valid Done done,
        @Valid Tray tray,

        @Size(max = 300, message = "{CorrectForm.shorten.the.reason.to.300}")
        String why) {

    /** What it was taken from: a stock plant, or where none is here the plant by name. */
    record From(
            UUID stockPlant,

            @Size(max = 120, message = "{CorrectForm.shorten.the.name.to.120}")
            String plant) {}

    /** When how many were taken and stuck; the latter are null while wounds dry. */
    record Days(
            @NotNull(message = "{CorrectForm.say.when.they.were.taken}")
            LocalDate takenOn,

            @NotNull(message = "{CorrectForm.say.how.many.were.taken}")
            @Min(value = 1, message = "{CorrectForm.take.1.piece.or.more}")
            Integer taken,

            LocalDate stuckOn,

            @Min(value = 1, message = "{CorrectForm.stick.1.piece.or.more}")
            Integer stuck) {}

    /** Where it stands. */
    record Stands(
            @NotBlank(message = "{CorrectForm.say.where.it.stands}")
            @Size(max = 80, message = "{CorrectForm.shorten.the.place.to.80}")
            String place) {}

    /**
     * How it was done.
     *
     * @param way key and version of the protocol, as "tip-in-water:1"; empty for none, as in old records
     * @param method where no protocol is chosen
     * @param ownMedium it is said that a medium which nobody knows is one of their own
     * @param sameDay it is said that wounds dried though the pieces were stuck on the day they were cut
     */
    record Done(
            String way,
            String method,

            @NotBlank(message = "{CorrectForm.say.what.they.root.in}")
            @Size(max = 80, message = "{CorrectForm.shorten.the.medium.to.80}")
            String medium,

            Boolean ownMedium,

            @Size(max = 300, message = "{CorrectForm.shorten.the.treatments.to.300}")
            String treatment,

            Boolean sameDay,

            @Size(max = 300, message = "{CorrectForm.shorten.it.to.300.characters}")
            String instead) {

        boolean isOwnMedium() {
            return Boolean.TRUE.equals(ownMedium);
        }

        boolean isSameDay() {
            return Boolean.TRUE.equals(sameDay);
        }
    }

    /** What it stands in. */
    record Tray(
            @Min(value = 1, message = "{CorrectForm.a.tray.has.1.row}")
            @Max(value = 60, message = "{CorrectForm.a.tray.has.at.most}")
            Integer rows,

            @Min(value = 1, message = "{CorrectForm.a.tray.has.1.column}")
            @Max(value = 60, message = "{CorrectForm.a.tray.has.at.most.2}")
            Integer columns,

            @Size(max = 80, message = "{CorrectForm.shorten.the.vessel.to.80}")
            Prose vessel,

            @NotNull(message = "{CorrectForm.say.how.many.go.to}")
            @Min(value = 1, message = "{CorrectForm.a.pot.has.1.piece}")
            @Max(value = 50, message = "{CorrectForm.give.at.most.50.pieces}")
            Integer perPot) {}

    CorrectForm {
        from = from == null ? new From(null, null) : from;
        days = days == null ? new Days(null, null, null, null) : days;
        stands = stands == null ? new Stands(null) : stands;
        done = done == null ? new Done(null, null, null, false, null, false, null) : done;
        tray = tray == null ? new Tray(null, null, null, null) : tray;
    }

    static CorrectForm of(BatchView b, String place) {
        return new CorrectForm(
                new From(b.origin().stockPlantId(), b.plant()),
                new Days(b.takenOn(), b.taken(), b.stuckOn(), b.taking().stuck()),
                new Stands(place),
                new Done(
                        b.protocol() == null ? "" : key(b.protocol(), b.protocolVersion()),
                        b.method(),
                        b.medium(),
                        false,
                        b.done().treatment().written(),
                        b.done().contradicts(b.taking()),
                        b.done().deviation()),
                new Tray(
                        b.vessel().rows(),
                        b.vessel().columns(),
                        Prose.orNull(b.vessel().words()),
                        b.piecesPerPot()),
                null);
    }

    static String key(String protocol, Integer version) {
        return protocol + ":" + version;
    }

    /** The batch as it says; by the protocol chosen, or by none. */
    NewBatch batch(BatchView was, PlantView plant, UUID place, Optional<Protocol> protocol, String medium) {
        return new NewBatch(
                plant,
                new Origin(
                        was.origin().planId(),
                        from.stockPlant(),
                        was.origin().fromBatchId(),
                        was.origin().oldCode()),
                place,
                new HowDone(
                        protocol.map(Protocol::key).orElse(null),
                        protocol.map(Protocol::version).orElse(null),
                        protocol.map(Protocol::method).orElse(done.method()),
                        medium,
                        Treatments.read(done.treatment()),
                        done.instead(),
                        was.done().trialId()),
                new Taking(
                        days.takenOn(),
                        days.taken(),
                        days.stuckOn(),
                        days.stuck(),
                        was.isStuck() && was.stuckOn().equals(days.stuckOn())
                                ? was.taking().unsureDays()
                                : 0),
                new Vessel(tray.rows(), tray.columns(), Prose.inColumn(tray.vessel()), tray.perPot()),
                was.material(),
                was.guess());
    }
}
