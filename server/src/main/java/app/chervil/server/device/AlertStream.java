package app.chervil.server.device;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ScheduledFuture;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells open screens that a site's alerts have changed, whichever server changed them: each second one short statement for
 * each site that somebody here is looking at.
 */
@Component
class AlertStream implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(AlertStream.class);
    private static final Duration LOOKS_EVERY = Duration.ofSeconds(1);
    private static final Duration OPEN_FOR = Duration.ofMinutes(10);
    /** So often something is said although nothing happened, so that a screen that went away is noticed. */
    private static final int BREATH = 20;

    private static final int MOST_A_SITE = 100;

    private final AlertMapper mapper;
    private final Map<Long, Site> sites = new ConcurrentHashMap<>();
    private final ThreadPoolTaskScheduler looks = new ThreadPoolTaskScheduler();
    private final ScheduledFuture<?> looking;
    private int count;

    AlertStream(AlertMapper mapper) {
        this.mapper = mapper;
        looks.setThreadNamePrefix("alerts-");
        looks.initialize();
        this.looking = looks.scheduleWithFixedDelay(this::look, LOOKS_EVERY);
    }

    private static final class Site {
        private final List<SseEmitter> screens = new CopyOnWriteArrayList<>();
        private volatile Optional<Instant> told = Optional.empty();
    }

    /** Opens a stream for a screen; the oldest of very many makes room. */
    SseEmitter open(long site) {
        SseEmitter screen = new SseEmitter(OPEN_FOR.toMillis());
        Site here = sites.computeIfAbsent(site, id -> new Site());
        Runnable gone = () -> here.screens.remove(screen);
        screen.onCompletion(gone);
        screen.onTimeout(screen::complete);
        screen.onError(failure -> gone.run());
        if (here.screens.size() >= MOST_A_SITE) {
            here.screens.remove(0).complete();
        }
        here.screens.add(screen);
        send(screen, SseEmitter.event().name("open").data(""));
        return screen;
    }

    private void look() {
        count++;
        sites.forEach((id, site) -> {
            if (!site.screens.isEmpty()) {
                try {
                    tell(id, site);
                } catch (RuntimeException away) {
                    LOG.debug("Cannot look for alerts of site {}", id, away);
                }
            }
        });
    }

    private void tell(long id, Site site) {
        Optional<Instant> changed = mapper.findChanged(id);
        if (!changed.equals(site.told)) {
            site.told = changed;
            String moment = changed.map(Instant::toString).orElse("");
            site.screens.forEach(
                    screen -> send(screen, SseEmitter.event().name("alerts").data(moment)));
        } else if (count % BREATH == 0) {
            site.screens.forEach(screen -> send(screen, SseEmitter.event().comment("")));
        }
    }

    private static void send(SseEmitter screen, SseEmitter.SseEventBuilder event) {
        try {
            screen.send(event);
        } catch (IOException | IllegalStateException gone) {
            screen.completeWithError(gone);
        }
    }

    /** Lets the screens go first, so that a server that ends does not wait for them. */
    @EventListener(ContextClosedEvent.class)
    void end() {
        looking.cancel(false);
        sites.values().forEach(site -> site.screens.forEach(SseEmitter::complete));
    }

    @Override
    public void destroy() {
        looks.shutdown();
    }
}
