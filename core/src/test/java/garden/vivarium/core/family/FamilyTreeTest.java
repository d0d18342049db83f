package garden.vivarium.core.family;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.family.FamilyTree.Kind;
import garden.vivarium.core.family.FamilyTree.Member;
import garden.vivarium.core.family.FamilyTree.Placed;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class FamilyTreeTest {

    private static Member plant(String id, String parent, String day) {
        return new Member(id, parent, Kind.STOCK_PLANT, day, 0, 0);
    }

    private static Member batch(String id, String parent, String day, int stuck, int ready) {
        return new Member(id, parent, Kind.BATCH, day, stuck, ready);
    }

    @Test
    void eachMemberStandsBelowItsParentAndBranchesAddUp() {
        FamilyTree family = FamilyTree.of(List.of(
                plant("FUC-1", null, "2023"),
                batch("b2", "FUC-1", "2024-06", 20, 10),
                batch("b1", "FUC-1", "2023-06", 12, 9),
                plant("FUC-2", "b1", "2024"),
                batch("b3", "FUC-2", "2025", 8, 8)));

        assertThat(family.lines()).extracting(p -> p.member().id()).containsExactly("FUC-1", "b1", "FUC-2", "b3", "b2");
        assertThat(family.lines()).extracting(Placed::parentLine).containsExactly(-1, 0, 1, 2, 0);
        Placed ancestor = family.lines().get(0);
        assertThat(ancestor.branchStuck()).isEqualTo(40);
        assertThat(ancestor.branchReady()).isEqualTo(27);
        assertThat(family.generations()).as("stock plants in a row").isEqualTo(2);
    }

    @Test
    void twoHundredMembersStandOnLinesOfTheirOwn() {
        Random random = new Random(3);
        List<Member> members = new ArrayList<>();
        members.add(plant("m0", null, "0"));
        for (int i = 1; i < 200; i++) {
            members.add(batch("m" + i, "m" + random.nextInt(i), String.format("%04d", i), 10, 7));
        }
        FamilyTree family = FamilyTree.of(members);

        assertThat(family.lines()).hasSize(200);
        assertThat(family.lines()).extracting(Placed::line).doesNotHaveDuplicates();
        assertThat(family.lines().get(0).branchStuck()).isEqualTo(1990);
        assertThat(family.lines()).filteredOn(p -> p.line() > 0).allSatisfy(p -> {
            assertThat(p.parentLine()).isBetween(0, p.line() - 1);
            assertThat(family.lines().get(p.parentLine()).member().id())
                    .isEqualTo(p.member().parent());
        });
    }

    @Test
    void aStrangerWithoutParentsStandsAsAnAncestor() {
        FamilyTree family = FamilyTree.of(List.of(batch("b", "not here", "1", 5, 5)));
        assertThat(family.lines().get(0).parentLine()).isEqualTo(-1);
        assertThat(family.generations()).as("no stock plant among them").isZero();
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> FamilyTree.of(List.of(plant("a", "b", "1"), plant("b", "a", "2"))))
                .hasMessageContaining("descends from themselves");
        assertThatThrownBy(() -> FamilyTree.of(List.of(plant("a", null, "1"), plant("a", null, "2"))))
                .hasMessageContaining("two members");
        assertThat(FamilyTree.of(List.of()).generations()).isZero();
    }
}
