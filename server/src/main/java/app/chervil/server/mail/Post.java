package app.chervil.server.mail;

/** The way mail leaves. */
public interface Post {
    /** Whether there is any. */
    boolean open();

    /** Sends one mail; what cannot be delivered throws. */
    void send(String to, String subject, String text);
}
