package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.Window;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Month;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A protocol of the nursery's own as typed. Rates are in per cent, windows in days since day 0. */
record ProtocolForm(
        @NotBlank(message = "Give it a title.") @Size(max = 120, message = "Shorten the title to 120 characters.")
        String title,

        @NotBlank(message = "Choose what they root in.") String medium,

        @Size(max = 200, message = "Shorten the treatment to 200 characters.")
        String treatment,

        @NotBlank(message = "Say what the material should be like.")
        @Size(max = 300, message = "Shorten it to 300 characters.")
        String ripeness,

        List<Month> months,

        @NotNull(message = "Say how many times slower it is out of season; 1 for not at all.")
        @DecimalMin(value = "1", message = "Out of season is slower: 1 or more.")
        @DecimalMax(value = "5", message = "At most 5 times slower.")
        Double slower,

        @NotNull(message = "Say at what share of its rate it strikes out of season; 100 for all of it.")
        @Min(value = 5, message = "At least 5% of the rate.")
        @Max(value = 100, message = "At most 100% of the rate.")
        Integer poorer,

        @NotBlank(message = "Write the steps, one a line.")
        @Size(max = 2000, message = "Shorten the steps to 2,000 characters.")
        String prepare,

        @Min(value = 0, message = "Days to dry: 0 or more.") @Max(value = 120, message = "Days to dry: at most 120.")
        Integer callusLeast,

        @Min(value = 1, message = "Days to dry: 1 or more.") @Max(value = 180, message = "Days to dry: at most 180.")
        Integer callusMost,

        @NotBlank(message = "Say what hormone, or why none.")
        @Size(max = 200, message = "Shorten it to 200 characters.")
        String hormone,

        @NotBlank(message = "Say how far apart.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String spacing,

        @NotBlank(message = "Say how deep.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String depth,

        @NotBlank(message = "Say how moist.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String moisture,

        @NotBlank(message = "Say whether it is covered.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String cover,

        @NotBlank(message = "Say how warm.") @Size(max = 100, message = "Shorten it to 100 characters.")
        String temperature,

        @NotBlank(message = "Say how light.") @Size(max = 100, message = "Shorten it to 100 characters.")
        String light,

        @NotNull(message = "Say on which day to look first.")
        @Min(value = 1, message = "The first look is on day 1 or later.")
        @Max(value = 400, message = "The first look is by day 400.")
        Integer firstLook,

        @NotNull(message = "Say how many days between looks at least.")
        @Min(value = 1, message = "1 day between looks or more.")
        @Max(value = 120, message = "At most 120 days between looks.")
        Integer lookLeast,

        @NotNull(message = "Say how many days between looks at most.")
        @Min(value = 1, message = "1 day between looks or more.")
        @Max(value = 365, message = "At most 365 days between looks.")
        Integer lookMost,

        @NotNull(message = "Choose how to look.") LookKind lookKind,

        @NotBlank(message = "Say how ready is told.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String readyTest,

        @Min(value = 1, message = "Root length: 1 mm or more.")
        @Max(value = 500, message = "Root length: at most 500 mm.")
        Integer readyMm,

        Double firstSignFrom,
        Double firstSignTo,

        @NotNull(message = "Say by which day one in ten is ready.")
        Double readyFrom,

        @NotNull(message = "Say by which day nine in ten are ready.")
        Double readyTo,

        @NotNull(message = "Say how many days a ready piece may stand.")
        @Min(value = 1, message = "1 day or more.")
        @Max(value = 1000, message = "At most 1,000 days.")
        Integer tooLong,

        @NotNull(message = "Say what share becomes ready.")
        @Min(value = 5, message = "A rate of 5% or more.")
        @Max(value = 99, message = "A rate of 99% at most.")
        Integer rate,

        @NotBlank(message = "Say what pot.") @Size(max = 100, message = "Shorten it to 100 characters.")
        String pot,

        @NotBlank(message = "Say what mix.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String mix,

        @NotNull(message = "Say how many minutes ten pieces take.")
        @Min(value = 1, message = "1 minute or more.")
        @Max(value = 600, message = "At most 600 minutes.")
        Integer minutesPerTen,

        @NotBlank(message = "Say why this way.") @Size(max = 600, message = "Shorten it to 600 characters.")
        String why,

        @NotNull @Valid ProtocolRest rest,

        @NotBlank(message = "Say what you change and why, so that you know it again.")
        @Size(max = 300, message = "Shorten it to 300 characters.")
        String reason) {

    ProtocolForm {
        months = months == null ? List.of() : List.copyOf(months);
    }

    static ProtocolForm of(Protocol p) {
        return new ProtocolForm(
                p.title(),
                p.medium(),
                String.join("; ", p.treatment()),
                p.ripeness(),
                p.season().months().stream().sorted().toList(),
                p.season().slower(),
                (int) Math.round(100 * p.season().poorer()),
                String.join("\n", p.prepare()),
                p.callus().map(Protocol.Callus::least).orElse(null),
                p.callus().map(Protocol.Callus::most).orElse(null),
                p.hormone().what(),
                p.spacing(),
                p.depth(),
                p.moisture().untilRooted(),
                p.cover(),
                p.air().temperature(),
                p.air().light(),
                p.looks().first(),
                p.looks().least(),
                p.looks().most(),
                p.looks().kind(),
                p.ready().test(),
                p.ready().rootMm().orElse(null),
                p.firstSign().map(f -> f.days().d10()).orElse(null),
                p.firstSign().map(f -> f.days().d90()).orElse(null),
                p.ready().days().d10(),
                p.ready().days().d90(),
                p.tooLong(),
                (int) Math.round(100 * p.rate()),
                p.potting().pot(),
                p.potting().mix(),
                p.minutesPerTen(),
                p.why(),
                ProtocolRest.of(p),
                null);
    }

    /**
     * The protocol as changed.
     *
     * @throws IllegalArgumentException if a window is not in order
     */
    Protocol changed(Protocol p, String knownMedium) {
        Optional<Protocol.Test> firstSign = p.firstSign()
                .map(f -> new Protocol.Test(
                        f.sign(),
                        rest.firstSignTest(),
                        f.rootMm(),
                        firstSignFrom == null || firstSignTo == null
                                ? f.days()
                                : new Window(firstSignFrom, firstSignTo)));
        Optional<Protocol.Callus> callus = callusMost == null
                ? Optional.empty()
                : Optional.of(new Protocol.Callus(
                        callusLeast == null ? callusMost : callusLeast,
                        callusMost,
                        p.callus().map(Protocol.Callus::survival).orElse(0.97),
                        p.callus().map(Protocol.Callus::seal).orElse("not needed")));
        return new Protocol(
                p.key(),
                p.version(),
                title,
                p.method(),
                knownMedium,
                p.then(),
                treatment == null
                        ? List.of()
                        : Arrays.stream(treatment.split("[;,]"))
                                .map(String::strip)
                                .filter(t -> !t.isEmpty())
                                .toList(),
                p.groups(),
                rest.piece(),
                ripeness,
                Season.of(months, slower, poorer / 100.0),
                Arrays.stream(prepare.split("\\R"))
                        .map(String::strip)
                        .filter(s -> !s.isEmpty())
                        .toList(),
                callus,
                new Protocol.Hormone(p.hormone().need(), hormone),
                rest.vesselOf(p),
                spacing,
                depth,
                new Protocol.Moisture(rest.atSticking(), moisture, rest.moistureAfter()),
                rest.water(),
                cover,
                new Protocol.Air(temperature, rest.base(), rest.humidity(), light, rest.lampHours()),
                new Protocol.Looks(firstLook, lookLeast, lookMost, lookKind),
                firstSign,
                new Protocol.Test(
                        p.ready().sign(), readyTest, Optional.ofNullable(readyMm), new Window(readyFrom, readyTo)),
                rest.stagesOf(p),
                tooLong,
                Optional.ofNullable(rest.inTurn()),
                new Protocol.Potting(pot, mix, rest.perPot(), rest.waitForWater(), rest.weeksBeforeFeed()),
                rate / 100.0,
                rest.establishmentOf(p),
                rest.outputOf(p),
                minutesPerTen,
                p.cautions(),
                why,
                p.schools(),
                p.thin());
    }
}
