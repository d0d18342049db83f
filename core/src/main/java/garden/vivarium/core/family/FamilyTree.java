package garden.vivarium.core.family;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A family laid out as a root grows: every member has a line of its own, and a line of descent leads from its parent. Members on lines of their own cannot overlap, however many there are. Brothers and sisters
 * stand in order of their day. Whatever claims to descend from itself is refused.
 */
public final class FamilyTree {

    private final List<Placed> lines;

    private FamilyTree(List<Placed> lines) {
        this.lines = List.copyOf(lines);
    }

    /** What a member is. */
    public enum Kind {
        STOCK_PLANT,
        BATCH
    }

    /**
     * A member.
     *
     * @param id unique in the family
     * @param parent id of what it came from; null for an ancestor
     * @param kind what it is
     * @param order by what it stands among its brothers and sisters, as its ISO day
     * @param stuck pieces set, for a batch; else 0
     * @param ready of those became ready
     */
    public record Member(String id, String parent, Kind kind, String order, int stuck, int ready) {}

    /**
     * A member on its line.
     *
     * @param member the member
     * @param line its line, 0 and up
     * @param parentLine line of its parent, or -1
     * @param branchStuck pieces set in its whole branch
     * @param branchReady of those became ready
     */
    public record Placed(Member member, int line, int parentLine, int branchStuck, int branchReady) {}

    /**
     * Lays the family out. A member whose parent is not among them stands as an ancestor.
     *
     * @throws IllegalArgumentException if two have one id, or somebody descends from themselves
     */
    public static FamilyTree of(List<Member> members) {
        Map<String, Member> byId = new HashMap<>();
        for (Member m : members) {
            if (byId.put(m.id(), m) != null) {
                throw new IllegalArgumentException("two members have the id " + m.id());
            }
        }
        Map<String, List<Member>> children = new HashMap<>();
        List<Member> ancestors = new ArrayList<>();
        for (Member m : members) {
            if (m.parent() != null && byId.containsKey(m.parent())) {
                children.computeIfAbsent(m.parent(), p -> new ArrayList<>()).add(m);
            } else {
                ancestors.add(m);
            }
        }
        Comparator<Member> byDay = Comparator.comparing(Member::order).thenComparing(Member::id);
        children.values().forEach(c -> c.sort(byDay));
        ancestors.sort(byDay);
        List<Placed> lines = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        ancestors.forEach(a -> place(a, -1, children, lines, seen));
        if (seen.size() < members.size()) {
            throw new IllegalArgumentException("somebody descends from themselves");
        }
        return new FamilyTree(lines);
    }

    /** Places a member and all below it; gives how many pieces and ready pieces its branch has. */
    private static int[] place(
            Member m, int parentLine, Map<String, List<Member>> children, List<Placed> lines, Set<String> seen) {
        seen.add(m.id());
        int line = lines.size();
        lines.add(null);
        int[] sum = {m.stuck(), m.ready()};
        for (Member child : children.getOrDefault(m.id(), List.of())) {
            int[] below = place(child, line, children, lines, seen);
            sum[0] += below[0];
            sum[1] += below[1];
        }
        lines.set(line, new Placed(m, line, parentLine, sum[0], sum[1]));
        return sum;
    }

    /** All members, line by line. */
    public List<Placed> lines() {
        return lines;
    }

    /** The number of generations: stock plants in a row at most, each descended from the one before. */
    public int generations() {
        int[] plants = new int[lines.size()];
        // A parent always stands on an earlier line.
        for (Placed p : lines) {
            int above = p.parentLine() < 0 ? 0 : plants[p.parentLine()];
            plants[p.line()] = above + (p.member().kind() == Kind.STOCK_PLANT ? 1 : 0);
        }
        return Arrays.stream(plants).max().orElse(0);
    }
}
