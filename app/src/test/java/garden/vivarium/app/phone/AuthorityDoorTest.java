package garden.vivarium.app.phone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The door gives the authority's certificate to whoever asks, and nothing else. */
class AuthorityDoorTest {

    @TempDir
    private Path folder;

    private Path kept(String name) throws IOException {
        Path file = folder.resolve(name);
        try (InputStream in = AuthorityDoorTest.class.getResourceAsStream("/phone/" + name)) {
            Files.copy(in, file);
        }
        return file;
    }

    @Test
    void theCertificateIsGivenAndNothingElse() throws Exception {
        AuthorityDoor door = new AuthorityDoor(kept("authority.crt"), 0);
        try {
            HttpResponse<byte[]> given = ask(door, AuthorityDoor.FILE, "GET");
            assertThat(given.statusCode()).isEqualTo(200);
            assertThat(given.headers().firstValue("Content-Type")).contains("application/x-x509-ca-cert");
            assertThat(given.body()).isEqualTo(door.authority().der());
            assertThat(ask(door, "/", "GET").statusCode()).isEqualTo(404);
            assertThat(ask(door, AuthorityDoor.FILE, "POST").statusCode()).isEqualTo(404);
            assertThat(ask(door, "/../server.key", "GET").statusCode()).isEqualTo(404);
        } finally {
            door.destroy();
        }
    }

    @Test
    void whoOpensTheDoorAndSaysNothingKeepsNobodyWaitingForLong() throws Exception {
        AuthorityDoor door = new AuthorityDoor(kept("authority.crt"), 0);
        List<Socket> halfOpen = new ArrayList<>();
        try {
            for (int i = 0; i < 20; i++) {
                Socket socket = new Socket(InetAddress.getLoopbackAddress(), door.port());
                socket.getOutputStream().write("GET /viv".getBytes(StandardCharsets.US_ASCII));
                halfOpen.add(socket);
            }
            // Before, the first of them held the door for ever.
            assertThat(ask(door, AuthorityDoor.FILE, "GET").statusCode()).isEqualTo(200);
        } finally {
            for (Socket socket : halfOpen) {
                socket.close();
            }
            door.destroy();
        }
    }

    @Test
    void itsNameAndFingerprintAreRead() throws IOException {
        Authority authority = Authority.read(kept("authority.crt"));

        assertThat(authority.name()).isEqualTo("Vivarium of a test");
        assertThat(authority.fingerprint()).hasSize(95).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");
        Path other = kept("server.crt");
        assertThatThrownBy(() -> Authority.read(other)).hasMessageContaining("not the certificate of an authority");
        assertThatThrownBy(() -> Authority.read(folder.resolve("none"))).hasMessageContaining("cannot be read");
    }

    private static HttpResponse<byte[]> ask(AuthorityDoor door, String path, String method) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + door.port() + path))
                                .timeout(Duration.ofSeconds(30))
                                .method(method, HttpRequest.BodyPublishers.noBody())
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
    }
}
