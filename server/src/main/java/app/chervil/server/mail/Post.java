package app.chervil.server.mail;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Component;

/** Sends mail through the server that was set up, or the one that catches the demo's. */
@Component
class Post {
    private static final String SECONDS_10 = "10000";

    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();
    private final String from;
    private boolean open;

    Post(
            @Value("${chervil.smtp.host}") String host,
            @Value("${chervil.smtp.port}") int port,
            @Value("${chervil.smtp.user}") String user,
            @Value("${chervil.smtp.password}") String password,
            @Value("${chervil.smtp.from}") String from) {
        this.from = from;
        if (!host.isBlank()) {
            through(host, port);
        }
        if (!user.isBlank()) {
            sender.setUsername(user);
            sender.setPassword(password);
            sender.getJavaMailProperties().setProperty("mail.smtp.auth", "true");
            sender.getJavaMailProperties().setProperty("mail.smtp.starttls.enable", "true");
            sender.getJavaMailProperties().setProperty("mail.smtp.starttls.required", "true");
        }
    }

    final void through(String host, int port) {
        sender.setHost(host);
        sender.setPort(port);
        sender.getJavaMailProperties().setProperty("mail.smtp.connectiontimeout", SECONDS_10);
        sender.getJavaMailProperties().setProperty("mail.smtp.timeout", SECONDS_10);
        open = true;
    }

    /** Whether a mail server is set up. */
    boolean open() {
        return open;
    }

    void send(String to, String subject, String text) {
        SimpleMailMessage message = new SimpleMailMessage();
        message.setFrom(from);
        message.setTo(to);
        message.setSubject(subject);
        message.setText(text);
        sender.send(message);
    }
}
