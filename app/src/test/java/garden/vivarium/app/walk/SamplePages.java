package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.door.Visitor;
import java.net.http.HttpResponse;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** Every kind of page of the sample nursery that links lead to, and some that are reached by filling a form only. */
final class SamplePages {

    private static final Pattern ONE_OF_MANY = Pattern.compile(
            "[0-9a-f]{8}-[0-9a-f-]{27}|\\d\\dw\\d\\d-[A-Z]+(-\\d+)?|(?<=/)[A-Z]{2,}[-\\d][^/?]*|(?<=/)\\d+(?=/|$)"
                    + "|(?<=^/guide/)[a-z]+-[^/]*|(?<=^/guide/(kinds|methods|jobs|protocols|schools)/)[^/]+");
    /** Ends the visit or is no page. */
    private static final Pattern LEFT_OUT =
            Pattern.compile("/sign-out|.*\\.(csv|zip|pdf|svg|ics|jpg|png|json|webmanifest|js)");

    /** Filled in as a person would. */
    private static final List<String> ASKED = List.of(
            "/round",
            "/plan?aim=24+fuchsia+by+september",
            "/round/away?from=2026-06-20&back=2026-07-01",
            "/technique/practice?protocol=tip-in-plugs&seed=3&day=27&acts=24L24M27L",
            "/sums/mix?across=9&count=72&mix=2+bark+%2B+1+perlite",
            "/sums/feed?ppm=100&n=15&total=10&unit=LITRE",
            "/sums/dilute?rate=5&total=2&unit=LITRE",
            "/sums/air?warmth=20&humidity=80",
            "/find?q=fuchsia",
            "/find?q=nothing+of+the+kind");

    private final Function<String, Optional<String>> reader;

    /** Pages as somebody reads them who has signed in; nothing for what is no page. */
    SamplePages(Function<String, Optional<String>> reader) {
        this.reader = reader;
    }

    /** As somebody who came by the door. */
    static SamplePages of(Visitor visitor) {
        return new SamplePages(path -> {
            HttpResponse<String> answer = visitor.get(path);
            assertThat(answer.statusCode()).as(path).isLessThan(500);
            return answer.headers().firstValue("Content-Type").orElse("").startsWith("text/html")
                    ? Optional.of(answer.body())
                    : Optional.empty();
        });
    }

    /** Pages by address, of those alike so many. */
    Map<String, Document> all(int alike) {
        Map<String, Document> pages = new LinkedHashMap<>();
        Map<String, Integer> seen = new HashMap<>();
        Deque<String> open = new ArrayDeque<>(ASKED);
        while (!open.isEmpty()) {
            String path = open.poll();
            Optional<Document> read = page(path);
            if (read.isEmpty()) {
                continue;
            }
            Document page = read.get();
            pages.put(path, page);
            for (Element a : page.select("a[href]")) {
                String to = a.absUrl("href").replaceFirst("#.*", "");
                if (!to.startsWith("http://vivarium/")) {
                    continue;
                }
                String local = to.substring("http://vivarium".length());
                if (!LEFT_OUT.matcher(local.replaceFirst("\\?.*", "")).matches()
                        && seen.merge(kind(local), 1, Integer::sum) <= alike) {
                    open.add(local);
                }
            }
        }
        return pages;
    }

    /** One page; empty for what is none. */
    Optional<Document> page(String path) {
        return reader.apply(path).map(html -> Jsoup.parse(html, "http://vivarium" + path));
    }

    /** What pages of one template have in common in their addresses. */
    static String kind(String path) {
        return ONE_OF_MANY.matcher(path.replaceFirst("\\?.*", "")).replaceAll("*");
    }
}
