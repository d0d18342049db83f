package garden.vivarium.app.exchange;

import garden.vivarium.app.people.AtANursery;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What it costs to refuse files that somebody made to cost much, and to read large ones that are honest. */
class FilesBench extends AtANursery {

    private static final int MOST_BYTES = 8_000_000;
    private static final String HEADER =
            "batch,plant,group,method,medium,treatment,stuck_on,stuck,looked_on,first_sign,ready,lost,note\n";

    @Autowired
    private Records records;

    private static List<MemoryPoolMXBean> heap() {
        return ManagementFactory.getMemoryPoolMXBeans().stream()
                .filter(p -> p.getType() == MemoryType.HEAP)
                .toList();
    }

    private static String repeated(String line) {
        return line.repeat(Math.max(1, (MOST_BYTES - HEADER.length()) / line.length()));
    }

    @Test
    void nonsense() {
        Random random = new Random(1);
        byte[] noise = new byte[MOST_BYTES];
        random.nextBytes(noise);
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("random bytes", noise);
        files.put("one cell of 8 MB", "x".repeat(MOST_BYTES).getBytes(StandardCharsets.UTF_8));
        files.put("commas alone", ",".repeat(MOST_BYTES).getBytes(StandardCharsets.UTF_8));
        files.put("empty lines alone", "\n".repeat(MOST_BYTES).getBytes(StandardCharsets.UTF_8));
        files.put("quotation marks alone", "\"".repeat(MOST_BYTES).getBytes(StandardCharsets.UTF_8));
        files.put("four million lines", (HEADER + repeated("x\n")).getBytes(StandardCharsets.UTF_8));
        files.put(
                "19,000 lines, all of them wrong",
                (HEADER
                                + "A1,Fuchsia,soft,wishing,mud,x,yesterday,many,tomorrow,-1,-2,-3,%s\n"
                                        .formatted("n".repeat(340))
                                        .repeat(19_000))
                        .getBytes(StandardCharsets.UTF_8));
        StringBuilder one = new StringBuilder(HEADER);
        for (int i = 0; i < 19_000; i++) {
            one.append("A1,Fuchsia,soft,tip cutting,water,,2025-05-01,20,2025-05-")
                    .append("%02d".formatted(1 + i % 30))
                    .append(",0,0,0,\n");
        }
        files.put("19,000 looks at one batch", one.toString().getBytes(StandardCharsets.UTF_8));
        files.put("a packed bomb", bomb());
        files.forEach(this::measure);
    }

    private static byte[] bomb() {
        Map<String, String> files = new LinkedHashMap<>();
        files.put("xl/workbook.xml", "<workbook/>");
        files.put("xl/worksheets/sheet1.xml", " ".repeat(200_000_000));
        return Spreadsheet.packed(files);
    }

    private void measure(String what, byte[] bytes) {
        UUID id = in(() -> records.receive("history", what, bytes));
        System.gc();
        heap().forEach(MemoryPoolMXBean::resetPeakUsage);
        long before = heap().stream().mapToLong(p -> p.getUsage().getUsed()).sum();
        long start = System.nanoTime();
        String end;
        try {
            Findings found = in(() -> records.look(id));
            end = found.faultCount() + " faults, " + found.words().size() + " words asked about";
        } catch (FileRefused refused) {
            end = refused.getMessage();
        }
        double seconds = (System.nanoTime() - start) / 1e9;
        long most = heap().stream().mapToLong(p -> p.getPeakUsage().getUsed()).sum();
        List<Object> line =
                new ArrayList<>(List.of(what, bytes.length / 1e6, seconds, Math.max(0, most - before) / 1e6, end));
        System.out.printf(Locale.ROOT, "file, %-34s %4.1f MB: %5.2f s, at most %4.0f MB more; %s%n", line.toArray());
    }
}
