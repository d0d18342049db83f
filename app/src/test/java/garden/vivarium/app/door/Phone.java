package garden.vivarium.app.door;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;

/** The real outbox of bench mode, in a Node of its own: types, keeps and sends until it is ended, and then says what it was told and still holds. */
final class Phone {

    private final Process node;
    private final Path said = Files.createTempFile("phone", ".json");

    /** Signs in and begins. */
    Phone(String root, String name, String password, List<String> trays, byte[] picture) throws IOException {
        ProcessBuilder start =
                new ProcessBuilder("node", "src/test/outbox/client.js", root, name, password, String.join(",", trays));
        start.environment().put("VIVARIUM_JS", "target/classes/static");
        node = start.redirectOutput(said.toFile())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        OutputStream to = node.getOutputStream();
        to.write((Base64.getEncoder().encodeToString(picture) + "\n").getBytes(StandardCharsets.US_ASCII));
        to.flush();
    }

    /**
     * What became of what was typed.
     *
     * @param checks all that were typed
     * @param letGo those not held any more, since an answer said by name that they are kept
     * @param photosLetGo the same of photographs
     * @param held those that still wait
     * @param refused those put aside, with the server's words
     */
    record Outcome(
            List<String> checks,
            List<String> letGo,
            List<String> photosLetGo,
            List<String> held,
            List<String> refused) {}

    Outcome end() throws IOException, InterruptedException {
        node.getOutputStream().close();
        int code = node.waitFor();
        if (code != 0) {
            throw new IllegalStateException("the phone ended with " + code);
        }
        JsonNode all = new ObjectMapper().readTree(Files.readString(said));
        List<String> checks = texts(all.get("checks"));
        List<String> refused = texts(all.get("refused"));
        List<String> letGo = new ArrayList<>(checks);
        letGo.removeAll(texts(all.get("left")));
        letGo.removeIf(id -> refused.stream().anyMatch(r -> r.startsWith(id)));
        List<String> photos = new ArrayList<>(texts(all.get("photos")));
        photos.removeAll(texts(all.get("photosLeft")));
        return new Outcome(checks, letGo, photos, texts(all.get("left")), refused);
    }

    private static List<String> texts(JsonNode array) {
        List<String> texts = new ArrayList<>();
        array.forEach(n -> texts.add(n.asText()));
        return texts;
    }
}
