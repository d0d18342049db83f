package garden.vivarium.app.door;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;

/** A wire to the tests' database that can be cut and mended. */
final class CuttableDatabase {

    private final int database;
    private final int port;
    private final Queue<Socket> open = new ConcurrentLinkedQueue<>();
    private ServerSocket door;
    private volatile String fatal = "";
    private int spared;
    private boolean comesBack;

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

    /**
     * The wire breaks as soon as something with these words is sent through it, which then does not arrive.
     *
     * @param spared how many times such words still pass
     * @param comesBack whether a new connection is taken at once, as of a database that was started again
     */
    synchronized void cutAt(String words, int spared, boolean comesBack) {
        this.spared = spared;
        this.comesBack = comesBack;
        fatal = words;
    }

    /** Whether the wire is still to break at some words. */
    boolean isStillToBreak() {
        return !fatal.isEmpty();
    }

    boolean isCut() {
        return door.isClosed();
    }

    void mend() {
        fatal = "";
        if (!door.isClosed()) {
            return;
        }
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
                    start(() -> ask(from, to));
                    start(() -> carry(to, from));
                } catch (IOException cut) {
                    // The wire was cut.
                    return;
                }
            }
        });
    }

    /** Carries what is asked of the database, unless it is what breaks the wire. */
    private void ask(Socket from, Socket to) {
        byte[] buffer = new byte[1 << 16];
        try (InputStream in = from.getInputStream();
                OutputStream out = to.getOutputStream()) {
            for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                if (breaksAt(new String(buffer, 0, n, StandardCharsets.ISO_8859_1))) {
                    return;
                }
                out.write(buffer, 0, n);
            }
        } catch (IOException cut) {
            closeQuietly(from);
            closeQuietly(to);
        }
    }

    private synchronized boolean breaksAt(String asked) {
        if (fatal.isEmpty() || !asked.toLowerCase(Locale.ROOT).contains(fatal)) {
            return false;
        }
        if (spared > 0) {
            spared--;
            return false;
        }
        if (!comesBack) {
            cut();
        }
        open.forEach(CuttableDatabase::closeQuietly);
        open.clear();
        // Only now: whoever asks whether it broke finds it broken.
        fatal = "";
        return true;
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
