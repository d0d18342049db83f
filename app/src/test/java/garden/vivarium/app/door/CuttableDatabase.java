package garden.vivarium.app.door;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;

/** A wire to the tests' database that can be cut and mended. */
final class CuttableDatabase {

    private final int database;
    private final int port;
    private final Queue<Socket> open = new ConcurrentLinkedQueue<>();
    private ServerSocket door;

    CuttableDatabase(int database) {
        this.database = database;
        this.door = listen(0);
        this.port = door.getLocalPort();
        accept(door);
    }

    int port() {
        return port;
    }

    void cut() {
        try {
            door.close();
            for (Socket s : open) {
                s.close();
            }
            open.clear();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void mend() {
        door = listen(port);
        accept(door);
    }

    private static ServerSocket listen(int port) {
        try {
            ServerSocket socket = new ServerSocket();
            socket.setReuseAddress(true);
            socket.bind(new java.net.InetSocketAddress(InetAddress.getLoopbackAddress(), port));
            return socket;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void accept(ServerSocket here) {
        start(() -> {
            while (!here.isClosed()) {
                try {
                    Socket from = here.accept();
                    Socket to = new Socket(InetAddress.getLoopbackAddress(), database);
                    from.setTcpNoDelay(true);
                    to.setTcpNoDelay(true);
                    open.add(from);
                    open.add(to);
                    start(() -> carry(from, to));
                    start(() -> carry(to, from));
                } catch (IOException cut) {
                    // The wire was cut.
                    return;
                }
            }
        });
    }

    private static void carry(Socket from, Socket to) {
        try (InputStream in = from.getInputStream();
                OutputStream out = to.getOutputStream()) {
            in.transferTo(out);
        } catch (IOException cut) {
            // One end is gone, and so the other is of no use.
            closeQuietly(from);
            closeQuietly(to);
        }
    }

    private static void closeQuietly(Socket socket) {
        try {
            socket.close();
        } catch (IOException gone) {
            // It is closed all the same.
            return;
        }
    }

    private static void start(Runnable work) {
        Thread thread = new Thread(work, "wire");
        thread.setDaemon(true);
        thread.start();
    }
}
