package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.StockNames;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AimLineTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
    private static final List<String> CODES = List.of("FUC-1", "FUC-3", "ROS-1", "SAI-1");
    private static final StockNames<String> STOCK = new StockNames<>(
            Guide.load(),
            List.of(
                    new StockNames.Standing<>("FUC-1", "Fuchsia ‘Skerry Lantern’", "fuchsia", "soft"),
                    new StockNames.Standing<>("FUC-3", "Fuchsia ‘Skerry Lantern’", "fuchsia", "soft"),
                    new StockNames.Standing<>("ROS-1", "Rosemary ‘Bollard’", "rosemary", "woody"),
                    new StockNames.Standing<>("SAI-1", "Saintpaulia ‘Tide Pool’", "african-violet", "rosette")),
            Map.of());

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
        24 skerry by 15 may                        | 24 | FUC-1 | 2027-05-15 | -  | -
        40 rosemary mid-March 95%                  | 40 | ROS-1 | 2027-03-15 | 95 | -
        12 FUC-3 by 2027-04-01                     | 12 | FUC-3 | 2027-04-01 | -  | -
        by 1st of December 2026 six? 6 fuchsias    | 6  | FUC-1 | 2026-12-01 | -  | -
        African violets 10 in 12 weeks             | 10 | SAI-1 | 2027-02-18 | -  | -
        30 bollard end of april, 80 % for Ada      | 30 | ROS-1 | 2027-04-30 | 80 | Ada
        15 tide pool May 3                         | 15 | SAI-1 | 2027-05-03 | -  | -
        15 tide pool 3.5.                          | 15 | SAI-1 | 2027-05-03 | -  | -
        20 rosemary in june                        | 20 | ROS-1 | 2027-06-30 | -  | -
        20 rosemary by june                        | 20 | ROS-1 | 2027-06-01 | -  | -
        a dozen rosemary by christmas              | 12 | ROS-1 | 2026-12-24 | -  | -
        24 skerry                                  | 24 | FUC-1 | -          | -  | -
        by 31 june 24 skerry                       | 24 | FUC-1 | -          | -  | -
        24 quibblewort by 15 may                   | 24 | -  | 2027-05-15 | -  | -
        skerry by 15 may                           | -  | FUC-1 | 2027-05-15 | -  | -
        """)
    void aLineIsReadAsPeopleSayIt(String line, Integer wanted, String plant, LocalDate due, Integer sure, String whom) {
        AimLine read = AimLine.read(line, TODAY, CODES);
        Optional<String> named = read.codes().stream()
                .findFirst()
                .or(() -> STOCK.read(read.plant()).taken());

        assertThat(read.wanted().isPresent() ? read.wanted().getAsInt() : null).isEqualTo(wanted);
        assertThat(named.orElse(null)).as(read.plant()).isEqualTo(plant);
        assertThat(read.due().orElse(null)).isEqualTo(due);
        assertThat(read.sure().isPresent() ? read.sure().getAsInt() : null).isEqualTo(sure);
        assertThat(read.forWhom().orElse(null)).isEqualTo(whom);
        assertThat(read.asMany()).isFalse();
    }

    @Test
    void asManyAsItGivesByADayThatNobodyCanReckonIsAskedFor() {
        AimLine read = AimLine.read("as many as FUC-3 gives by the fair", TODAY, CODES);

        assertThat(read.asMany()).isTrue();
        assertThat(read.codes()).containsExactly("FUC-3");
        assertThat(read.due()).isEmpty();
        assertThat(read.forWhom()).contains("the fair");
        assertThat(read.wanted()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "24 rooted skerry by 15 may, ROOTED, FUC-1",
        "72 skerry plugs by 15 may, ROOTED, FUC-1",
        "24 skerry potted by 15 may, SETTLED, FUC-1",
        "24 skerry to sell by 15 may, TO_SELL, FUC-1"
    })
    void wordsSayWhatPlantsAreToBeByThen(String line, DayAsked until, String plant) {
        AimLine read = AimLine.read(line, TODAY, CODES);

        assertThat(read.until()).contains(until);
        assertThat(STOCK.read(read.plant()).taken()).contains(plant);
        assertThat(AimLine.read("24 skerry by 15 may", TODAY, CODES).until()).isEmpty();
    }

    @Test
    void anyTextIsRead() {
        for (String line : List.of(
                "",
                "%%%",
                "99999999999",
                "by by by",
                "0 0 0",
                "x".repeat(5000),
                "’‘“ 12/40 31.31.",
                "1 of may of may")) {
            assertThat(AimLine.read(line, TODAY, CODES)).isNotNull();
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
        skerry and rosemary    | FUC-1 ROS-1 | -
        6 pink rock orchid     | -           | dendrobium
        72 german ivy plugs    | -           | Cape ivy, plectranthus
        12 spider plants       | -           | spider plant
        4 rock roses           | -           | rock rose, cistus
        6 skerry fuchsias      | FUC-1       | -
        fuschias               | FUC-1       | -
        """)
    void aPlantThatStandsHereGoesBeforeAKindThatDoesNot(String line, String plants, String kinds) {
        StockNames.Reading<String> read =
                STOCK.read(AimLine.read(line, TODAY, CODES).plant());

        assertThat(read.plants()).containsAll(plants.equals("-") ? List.of() : List.of(plants.split(" ")));
        assertThat(read.kinds().stream().map(k -> k.names().name()).toList())
                .containsAll(kinds.equals("-") ? List.of() : List.of(kinds.split(", ")));
        assertThat(read.plants().isEmpty()).isEqualTo(plants.equals("-"));
    }
}
