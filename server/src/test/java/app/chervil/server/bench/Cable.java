package app.chervil.server.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** A cable between the server and its database that can be cut; it listens on the loopback. */
final class Cable implements AutoCloseable {
    private final ServerSocket socket;
    private final int to;
    private final Set<Socket> ends = ConcurrentHashMap.newKeySet();

    Cable(int to) throws IOException {
        this.to = to;
        this.socket = new ServerSocket(0, 100, InetAddress.getLoopbackAddress());
        daemon(this::accept);
    }

    int port() {
        return socket.getLocalPort();
    }

    /** Cuts whatever runs through it; what is plugged in afterwards runs again. */
    void cut() {
        ends.forEach(Cable::shut);
        ends.clear();
    }

    private void accept() {
        while (!socket.isClosed()) {
            try {
                Socket near = socket.accept();
                Socket far = new Socket();
                ends.add(near);
                ends.add(far);
                try {
                    far.connect(new java.net.InetSocketAddress(InetAddress.getLoopbackAddress(), to), 1000);
                    daemon(() -> carry(near, far));
                    daemon(() -> carry(far, near));
                } catch (IOException away) {
                    shut(near);
                    shut(far);
                }
            } catch (IOException closed) {
                return;
            }
        }
    }

    private void carry(Socket from, Socket into) {
        byte[] bytes = new byte[16_384];
        try {
            InputStream input = from.getInputStream();
            OutputStream output = into.getOutputStream();
            for (int read = input.read(bytes); read >= 0; read = input.read(bytes)) {
                output.write(bytes, 0, read);
            }
        } catch (IOException cut) {
            // Both ends are let go of below.
        }
        shut(from);
        shut(into);
        ends.remove(from);
        ends.remove(into);
    }

    private static void shut(Socket end) {
        try {
            end.close();
        } catch (IOException gone) {
            // It was shut already.
        }
    }

    private static void daemon(Runnable work) {
        Thread thread = new Thread(work, "cable");
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void close() throws IOException {
        socket.close();
        cut();
    }
}
