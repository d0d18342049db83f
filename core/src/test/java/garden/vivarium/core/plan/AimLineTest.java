package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AimLineTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
    private static final List<AimLine.Named> KNOWN = List.of(
            new AimLine.Named("f1", "FUC-1", "Fuchsia ‘Skerry Lantern’", List.of("fuchsia", "Fuchsia"), 220),
            new AimLine.Named("f3", "FUC-3", "Fuchsia ‘Skerry Lantern’", List.of("fuchsia", "Fuchsia"), 180),
            new AimLine.Named("r1", "ROS-1", "Rosemary ‘Bollard’", List.of("rosemary", "Salvia rosmarinus"), 230),
            new AimLine.Named("s1", "SAI-1", "Saintpaulia ‘Tide Pool’", List.of("African violet", "Saintpaulia"), 40));

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
        24 skerry by 15 may                        | 24 | f1 | 2027-05-15 | -  | -
        40 rosemary mid-March 95%                  | 40 | r1 | 2027-03-15 | 95 | -
        12 FUC-3 by 2027-04-01                     | 12 | f3 | 2027-04-01 | -  | -
        by 1st of December 2026 six? 6 fuchsias    | 6  | f1 | 2026-12-01 | -  | -
        African violets 10 in 12 weeks             | 10 | s1 | 2027-02-18 | -  | -
        30 bollard end of april, 80 % for Ada      | 30 | r1 | 2027-04-30 | 80 | Ada
        15 tide pool May 3                         | 15 | s1 | 2027-05-03 | -  | -
        15 tide pool 3.5.                          | 15 | s1 | 2027-05-03 | -  | -
        20 rosemary in june                        | 20 | r1 | 2027-06-30 | -  | -
        20 rosemary by june                        | 20 | r1 | 2027-06-01 | -  | -
        a dozen rosemary by christmas              | 12 | r1 | 2026-12-24 | -  | -
        24 skerry                                  | 24 | f1 | -          | -  | -
        by 31 june 24 skerry                       | 24 | f1 | -          | -  | -
        24 quibblewort by 15 may                   | 24 | -  | 2027-05-15 | -  | -
        skerry by 15 may                           | -  | f1 | 2027-05-15 | -  | -
        """)
    void aLineIsReadAsPeopleSayIt(String line, Integer wanted, String plant, LocalDate due, Integer sure, String whom) {
        AimLine read = AimLine.read(line, TODAY, KNOWN);

        assertThat(read.wanted().isPresent() ? read.wanted().getAsInt() : null).isEqualTo(wanted);
        assertThat(read.plants().stream().findFirst().orElse(null)).isEqualTo(plant);
        assertThat(read.due().orElse(null)).isEqualTo(due);
        assertThat(read.sure().isPresent() ? read.sure().getAsInt() : null).isEqualTo(sure);
        assertThat(read.forWhom().orElse(null)).isEqualTo(whom);
        assertThat(read.asMany()).isFalse();
    }

    @Test
    void asManyAsItGivesByADayThatNobodyCanReckonIsAskedFor() {
        AimLine read = AimLine.read("as many as FUC-3 gives by the fair", TODAY, KNOWN);

        assertThat(read.asMany()).isTrue();
        assertThat(read.plants()).containsExactly("f3");
        assertThat(read.due()).isEmpty();
        assertThat(read.forWhom()).contains("the fair");
        assertThat(read.wanted()).isEmpty();
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
            assertThat(AimLine.read(line, TODAY, KNOWN)).isNotNull();
        }
        assertThat(AimLine.read("skerry and rosemary", TODAY, KNOWN).plants().stream()
                        .collect(Collectors.toSet()))
                .as("both may be meant")
                .contains("f1", "r1");
    }
}
