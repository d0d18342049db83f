package garden.vivarium.app.walk;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.door.Visitor;
import garden.vivarium.app.platform.OnDatabase;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeTraversor;
import org.jsoup.select.NodeVisitor;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Writes what every page of the sample nursery says on a fixed day, one line a text, so that two versions can be compared; run by
 * {@code ./vivarium texts DIR}.
 */
@OnDatabase
class PageTextTool {

    private static final int ALIKE = 6;
    private static final List<String> SAID = List.of("aria-label", "placeholder", "title", "alt", "value");

    @LocalServerPort
    private int port;

    @Autowired
    private DemoNursery demo;

    @Test
    void everyPage() throws Exception {
        Path folder = Path.of(System.getProperty("vivarium.texts", "target/texts"));
        Files.createDirectories(folder);
        demo.fillOnce();
        Visitor reader = new Visitor(port);
        reader.signIn(DemoNursery.SIGN_IN, DemoNursery.PASSWORD);
        Map<String, Document> pages = SamplePages.of(reader).all(ALIKE);
        Map<String, List<String>> kinds = pages.keySet().stream().collect(Collectors.groupingBy(SamplePages::kind));
        for (Map.Entry<String, List<String>> kind : kinds.entrySet()) {
            StringBuilder said = new StringBuilder();
            for (String path : kind.getValue()) {
                said.append("== ").append(nameless(path)).append('\n').append(nameless(text(pages.get(path))));
            }
            String name = kind.getKey().replaceAll("^/", "").replaceAll("[^a-z0-9]+", "-");
            Files.writeString(folder.resolve((name.isEmpty() ? "home" : name) + ".txt"), said);
        }
        System.out.printf("%d pages of %d kinds%n", pages.size(), kinds.size());
    }

    /** Ids are made anew each time. */
    private static String nameless(String text) {
        return text.replaceAll("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}", "ID")
                .replaceAll("/assets-[0-9a-f]+/", "/assets/");
    }

    private static String text(Document page) {
        page.select("script, style, input[type=hidden], meta").remove();
        StringBuilder said = new StringBuilder();
        NodeTraversor.traverse(
                new NodeVisitor() {
                    @Override
                    public void head(Node node, int depth) {
                        if (node instanceof TextNode t && !t.isBlank()) {
                            said.append(t.text().strip()).append('\n');
                        } else if (node instanceof Element e) {
                            if (e.isBlock()) {
                                said.append("--\n");
                            }
                            SAID.stream()
                                    .filter(e::hasAttr)
                                    .filter(a -> !e.attr(a).isBlank())
                                    .forEach(a -> said.append('[')
                                            .append(a)
                                            .append("] ")
                                            .append(e.attr(a))
                                            .append('\n'));
                        }
                    }

                    @Override
                    public void tail(Node node, int depth) {}
                },
                page);
        return said.toString().replaceAll("(--\n)+", "--\n");
    }
}
