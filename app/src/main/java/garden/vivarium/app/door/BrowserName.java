package garden.vivarium.app.door;

import java.util.Map;
import java.util.stream.Stream;

/** What a browser calls itself, in two words that its owner knows it by. Nothing else of it is kept. */
final class BrowserName {

    private static final String UNKNOWN = "a browser";

    private BrowserName() {}

    /** From what it sends along with each request; null where it sends nothing. */
    static String of(String userAgent) {
        if (userAgent == null || userAgent.isBlank()) {
            return UNKNOWN;
        }
        String browser = Stream.of(
                        Map.entry("Edg", "Edge"),
                        Map.entry("OPR/", "Opera"),
                        Map.entry("Firefox", "Firefox"),
                        Map.entry("SamsungBrowser", "Samsung Internet"),
                        Map.entry("Chrom", "Chromium or Chrome"),
                        Map.entry("Safari", "Safari"))
                .filter(e -> userAgent.contains(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(UNKNOWN);
        return Stream.of(
                        Map.entry("Android", "Android"),
                        Map.entry("iPhone", "an iPhone"),
                        Map.entry("iPad", "an iPad"),
                        Map.entry("Windows", "Windows"),
                        Map.entry("Mac OS", "a Mac"),
                        Map.entry("Linux", "Linux"))
                .filter(e -> userAgent.contains(e.getKey()))
                .map(e -> browser + " on " + e.getValue())
                .findFirst()
                .orElse(browser);
    }
}
