package garden.vivarium.app.door;

import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** A form with a file, as a browser sends it. */
public final class Multipart {

    private static final String EDGE = "edge-of-a-part";

    private Multipart() {}

    /**
     * Makes the request of it.
     *
     * @param type of the file
     */
    public static HttpRequest.Builder of(
            Visitor who, String path, Map<String, String> fields, String fileName, String type, byte[] file) {
        List<byte[]> parts = new ArrayList<>();
        fields.forEach((name, value) -> parts.add(text(
                "--%s\r\nContent-Disposition: form-data; name=\"%s\"\r\n\r\n%s\r\n".formatted(EDGE, name, value))));
        parts.add(text(
                "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\nContent-Type: %s\r\n\r\n"
                        .formatted(EDGE, fileName, type)));
        parts.add(file);
        parts.add(text("\r\n--%s--\r\n".formatted(EDGE)));
        return HttpRequest.newBuilder(who.at(path))
                .header("Content-Type", "multipart/form-data; boundary=" + EDGE)
                .header("X-CSRF-TOKEN", who.token())
                .POST(HttpRequest.BodyPublishers.ofByteArrays(parts));
    }

    private static byte[] text(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
