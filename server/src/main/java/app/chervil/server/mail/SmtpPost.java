package app.chervil.server.mail;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Component;

/** Sends mail through the server that was set up. */
@Component
public class SmtpPost implements Post {
    private static final String SECONDS_10 = "10000";

    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();
    private final String from;
    private boolean open;

    SmtpPost(
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

    /** Sends all mail from now on through another server. */
    public final void through(String host, int port) {
        sender.setHost(host);
        sender.setPort(port);
        sender.getJavaMailProperties().setProperty("mail.smtp.connectiontimeout", SECONDS_10);
        sender.getJavaMailProperties().setProperty("mail.smtp.timeout", SECONDS_10);
        open = true;
    }

    @Override
    public boolean open() {
        return open;
    }

    @Override
    public void send(String to, String subject, String text) {
        SimpleMailMessage message = new SimpleMailMessage();
        message.setFrom(from);
        message.setTo(to);
        message.setSubject(subject);
        message.setText(text);
        sender.send(message);
    }
}
