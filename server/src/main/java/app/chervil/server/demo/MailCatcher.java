package app.chervil.server.demo;

import app.chervil.server.mail.SmtpPost;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** A mail server for the demo that delivers to nobody and shows what it was given. */
@Component
@ConditionalOnProperty("chervil.demo")
class MailCatcher implements DisposableBean {
    private static final int MOST_SHOWN = 20;
    private static final String HERE = "127.0.0.1";

    private final GreenMail server =
            new GreenMail(ServerSetup.SMTP.dynamicPort().createCopy(HERE));

    MailCatcher(SmtpPost post) {
        server.start();
        post.through(HERE, server.getSmtp().getPort());
    }

    /** A mail that was caught. */
    record CaughtMail(String to, String subject, String text) {}

    /** The latest mails, latest first. */
    List<CaughtMail> caught() {
        MimeMessage[] all = server.getReceivedMessages();
        List<CaughtMail> latest = new ArrayList<>();
        for (int i = all.length - 1; i >= 0 && latest.size() < MOST_SHOWN; i--) {
            try {
                latest.add(new CaughtMail(
                        all[i].getAllRecipients()[0].toString(), all[i].getSubject(), "" + all[i].getContent()));
            } catch (MessagingException | IOException e) {
                throw new IllegalStateException("a caught mail cannot be read", e);
            }
        }
        return latest;
    }

    @Override
    public void destroy() {
        server.stop();
    }
}
