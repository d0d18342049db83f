package garden.vivarium.core.divide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DividerTest {

    private static final Worth ORCHID = new Worth(2, 0.75, 4, 0.95);

    /** Growths 1–2–3–4–5–6 and 4–7–8–9, roots on 3, 4, 5, 6, 8, 9, leads 6 and 9, 1 and 2 leafless. */
    private static Lying creeping() {
        Set<Integer> roots = Set.of(3, 4, 5, 6, 8, 9);
        return new Lying(
                IntStream.rangeClosed(1, 9)
                        .mapToObj(i -> new Growth(i, roots.contains(i), i == 6 || i == 9, i > 2, false))
                        .toList(),
                List.of(
                        new Tie(1, 2),
                        new Tie(2, 3),
                        new Tie(3, 4),
                        new Tie(4, 5),
                        new Tie(5, 6),
                        new Tie(4, 7),
                        new Tie(7, 8),
                        new Tie(8, 9)));
    }

    private static String pieces(Division d) {
        return d.pieces().stream()
                .map(p -> p.growths().stream().map(String::valueOf).collect(Collectors.joining(" ")))
                .collect(Collectors.joining("|"));
    }

    @Test
    void isWhatWasWrittenDown() throws IOException {
        List<String[]> answers;
        try (InputStream in = DividerTest.class.getResourceAsStream("/garden/vivarium/core/division-answers.csv")) {
            answers = new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .map(l -> l.split(";", -1))
                    .toList();
        }
        assertThat(answers).hasSize(4);
        for (String[] answer : answers) {
            Ask ask = answer[0].startsWith("most pieces")
                    ? Ask.sure(0.7)
                    : answer[0].startsWith("most plants")
                            ? Ask.of(Ask.Aim.MOST_PLANTS)
                            : answer[0].startsWith("two given") ? Ask.away(2) : Ask.of(Ask.Aim.SOON_IN_FLOWER);
            Division found = Divider.best(creeping(), ORCHID, ask).orElseThrow();
            assertThat(pieces(found)).as(answer[0]).isEqualTo(answer[1]);
            List<Double> chances = Arrays.stream(answer[2].split("\\|"))
                    .filter(c -> !c.isEmpty())
                    .map(Double::valueOf)
                    .toList();
            for (int i = 0; i < chances.size(); i++) {
                assertThat(found.pieces().get(i).chance()).isCloseTo(chances.get(i), within(0.0005));
            }
            if (answer[3].equals("do not divide")) {
                assertThat(found.isUndivided()).isTrue();
            } else if (!answer[3].isEmpty()) {
                assertThat(found.expected()).isCloseTo(Double.parseDouble(answer[3]), within(0.0005));
            }
        }
        assertThat(pieces(Divider.best(creeping(), ORCHID, Ask.away(2)).orElseThrow())
                        .split("\\|")[1])
                .isEqualTo("4 5 6 7");
    }

    /** By recursion over growths, each to a piece that was begun or to one of its own; only connected pieces count. */
    private static Optional<Division> bruteForce(Lying plant, Worth worth, Ask ask) {
        int n = plant.growths().size();
        Cutting cutting = new Cutting(plant, worth);
        List<int[]> all = new ArrayList<>();
        assign(new int[n], 0, 0, all);
        Division best = null;
        double[] value = null;
        for (int[] of : all) {
            if (!isConnected(plant, of)) {
                continue;
            }
            Division d = cutting.division(of);
            double[] v = Cutting.value(
                    ask,
                    d.pieces().size(),
                    d.expected(),
                    d.leastSure(),
                    d.pieces().stream()
                            .mapToDouble(Division.Piece::chance)
                            .max()
                            .orElse(0),
                    d.seasons(),
                    d.cuts().size());
            if (v != null) {
                int c = value == null ? 1 : Cutting.compare(v, value);
                if (c > 0 || (c == 0 && Cutting.isBefore(d, best))) {
                    value = v;
                    best = d;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static void assign(int[] of, int at, int begun, List<int[]> all) {
        if (at == of.length) {
            all.add(of.clone());
            return;
        }
        for (int piece = 0; piece <= begun; piece++) {
            of[at] = piece;
            assign(of, at + 1, Math.max(begun, piece + 1), all);
        }
    }

    private static boolean isConnected(Lying plant, int[] of) {
        List<Integer> numbers = plant.growths().stream().map(Growth::number).toList();
        for (int piece : new HashSet<>(Arrays.stream(of).boxed().toList())) {
            Set<Integer> members = new TreeSet<>();
            for (int i = 0; i < of.length; i++) {
                if (of[i] == piece) {
                    members.add(numbers.get(i));
                }
            }
            Set<Integer> reached = new HashSet<>(Set.of(members.iterator().next()));
            boolean grew = true;
            while (grew) {
                grew = false;
                for (Tie t : plant.ties()) {
                    if (members.contains(t.a())
                            && members.contains(t.b())
                            && (reached.contains(t.a()) != reached.contains(t.b()))) {
                        reached.add(t.a());
                        reached.add(t.b());
                        grew = true;
                    }
                }
            }
            if (reached.size() < members.size()) {
                return false;
            }
        }
        return true;
    }

    private static Lying random(Random random, int most, boolean tree) {
        int n = 1 + random.nextInt(most);
        List<Growth> growths = IntStream.rangeClosed(1, n)
                .mapToObj(i -> new Growth(
                        i,
                        random.nextDouble() < 0.6,
                        random.nextDouble() < 0.3,
                        random.nextDouble() < 0.7,
                        i > 1 && random.nextDouble() < 0.1))
                .toList();
        Set<Tie> ties = new HashSet<>();
        for (int i = 2; i <= n; i++) {
            ties.add(new Tie(1 + random.nextInt(i - 1), i));
        }
        if (!tree && n > 2) {
            for (int extra = 0; extra < 3; extra++) {
                int a = 1 + random.nextInt(n);
                int b = 1 + random.nextInt(n);
                if (a != b) {
                    ties.add(Tie.between(a, b));
                }
            }
        }
        return new Lying(growths, List.copyOf(ties));
    }

    private static Worth worth(Random random) {
        int least = 1 + random.nextInt(3);
        double p = 0.4 + 0.4 * random.nextDouble();
        return new Worth(least, p, least + 1 + random.nextInt(3), p + (1 - p) * random.nextDouble());
    }

    private static Ask ask(Random random) {
        return switch (random.nextInt(4)) {
            case 0 -> Ask.sure(0.4 + 0.5 * random.nextDouble());
            case 1 -> Ask.of(Ask.Aim.MOST_PLANTS);
            case 2 -> Ask.of(Ask.Aim.SOON_IN_FLOWER);
            default -> Ask.away(1 + random.nextInt(4));
        };
    }

    @Test
    void everySetOfCutsIsAsGoodAsBruteForceOnAThousandRandomPlants() {
        for (int seed = 0; seed < 1000; seed++) {
            Random random = new Random(seed);
            // Partitions of ten growths are 115,975: most plants are smaller, some are as large.
            Lying plant = random(random, seed % 50 == 0 ? 10 : 7, seed % 3 > 0);
            Worth worth = worth(random);
            Ask ask = ask(random);
            Optional<Division> brute = bruteForce(plant, worth, ask);
            Optional<Division> found = Divider.best(plant, worth, ask);
            assertThat(found.map(DividerTest::pieces))
                    .as("plant %d, %s", seed, ask)
                    .isEqualTo(brute.map(DividerTest::pieces));
        }
    }

    @Test
    void climbingFindsWhatEverySetOfCutsFindsOrAlmost() {
        int same = 0;
        int all = 0;
        double worst = 1;
        for (int seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            Lying plant = random(random, 12, seed % 2 == 0);
            if (plant.ties().size() > Divider.MOST_CUTS) {
                continue;
            }
            Worth worth = worth(random);
            Division exact =
                    Divider.best(plant, worth, Ask.of(Ask.Aim.MOST_PLANTS)).orElseThrow();
            Division climbed =
                    Divider.climbed(plant, worth, Ask.of(Ask.Aim.MOST_PLANTS)).orElseThrow();
            all++;
            same += Math.abs(exact.expected() - climbed.expected()) < 1e-9 ? 1 : 0;
            worst = Math.min(worst, climbed.expected() / exact.expected());
        }
        assertThat(same).as("as good in nearly all").isGreaterThanOrEqualTo((int) (0.98 * all));
        assertThat(worst).as("and never much worse").isGreaterThan(0.95);
    }

    @Test
    void aLargeClumpIsDividedByClimbingIntoPiecesThatHangTogether() {
        Random random = new Random(7);
        Lying clump = null;
        while (clump == null || clump.growths().size() < 35) {
            clump = random(random, 40, false);
        }
        Division found = Divider.best(clump, ORCHID, Ask.sure(0.7)).orElseThrow();
        assertThat(found.pieces()).hasSizeGreaterThan(3);
        assertThat(found.pieces()).allSatisfy(p -> assertThat(p.chance()).isGreaterThanOrEqualTo(0.7 - 1e-9));
        assertThat(found.pieces().stream().mapToInt(p -> p.growths().size()).sum())
                .isLessThanOrEqualTo(clump.growths().size());
    }

    @Test
    void soManyPiecesThereAreNot() {
        Lying two = new Lying(
                List.of(new Growth(1, true, true, true, false), new Growth(2, true, true, true, false)),
                List.of(new Tie(1, 2)));
        assertThat(Divider.best(two, ORCHID, Ask.away(2))).isEmpty();
        assertThat(Divider.best(two, ORCHID, Ask.away(1)).orElseThrow().pieces())
                .hasSize(2);
    }

    @Test
    void whatIsDeadCountsForNothing() {
        Lying plant = new Lying(
                List.of(
                        new Growth(1, false, false, false, true),
                        new Growth(2, true, false, true, false),
                        new Growth(3, true, true, true, false)),
                List.of(new Tie(1, 2), new Tie(2, 3)));
        Division whole =
                Divider.best(plant, ORCHID, Ask.of(Ask.Aim.SOON_IN_FLOWER)).orElseThrow();
        assertThat(whole.isUndivided()).isTrue();
        assertThat(whole.pieces().get(0).living()).isEqualTo(2);
        assertThat(whole.pieces().get(0).chance()).isCloseTo(0.75, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({
        "1, 0, false, false, 0.126",
        "2, 1, false, true, 0.6",
        "3, 1, false, true, 0.578",
        "4, 2, false, true, 0.76",
        "4, 3, true, true, 0.95",
        "9, 1, true, true, 0.8075"
    })
    void chanceOfAPiece(int growths, int rooted, boolean lead, boolean leaf, double chance) {
        assertThat(ORCHID.chance(growths, rooted, lead, leaf)).isCloseTo(chance, within(1e-9));
    }

    @Test
    void seasonsUntilItFlowers() {
        assertThat(ORCHID.seasons(4, true)).isZero();
        assertThat(ORCHID.seasons(3, true)).isEqualTo(1);
        assertThat(ORCHID.seasons(1, true)).isEqualTo(2);
        assertThat(ORCHID.seasons(2, false)).isEqualTo(2);
    }

    @Test
    void anOwnRecordBearsOnTheFailuresAlone() {
        Worth crowns = new Worth(1, 0.92, 3, 0.97).byRecord(0.90, 0.95);
        assertThat(crowns.chance(1, 1, true, true)).isCloseTo(0.844898, within(5e-7));
        assertThat(ORCHID.byRecord(0.01, 0.95).failing()).isEqualTo(4);
        assertThat(ORCHID.byRecord(0.999, 0.5).failing()).isEqualTo(0.25);
        assertThat(ORCHID.byRecord(0.999, 0.5).chance(9, 9, true, true)).isBetween(0.98, 1.0);
    }

    @Test
    void whatIsNoPlantIsRefused() {
        Growth one = new Growth(1, true, true, true, false);
        Growth other = new Growth(2, true, true, true, false);
        assertThatThrownBy(() -> new Lying(List.of(one, other), List.of())).hasMessageContaining("hang together");
        assertThatThrownBy(() -> new Lying(List.of(one), List.of(new Tie(1, 2))))
                .hasMessageContaining("not there");
        assertThatThrownBy(() -> new Lying(List.of(one, one), List.of())).hasMessageContaining("twice");
        assertThatThrownBy(() -> new Lying(List.of(), List.of())).hasMessageContaining("1 to 60");
        assertThatThrownBy(() -> new Lying(List.of(new Growth(1, true, true, true, true)), List.of()))
                .hasMessageContaining("none of it lives");
        assertThatThrownBy(() -> new Worth(2, 0.9, 2, 0.95)).hasMessageContaining("comfortable");
    }
}
