package app.chervil.server.device;

import app.chervil.core.calc.Units;
import app.chervil.core.device.Alarm;
import app.chervil.core.device.AlarmWords;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.device.AlertMapper.AlertRow;
import app.chervil.server.device.AlertMapper.MailWish;
import app.chervil.server.mail.Post;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Mails what stands, once; in somebody's quiet hours danger alone, the rest when they are over if it still stands. */
@Service
public class AlertMailOperations {
    private final AlertMapper mapper;
    private final DeviceMapper devices;
    private final AccountOperations accounts;
    private final Post post;
    private final Clock clock;

    AlertMailOperations(AlertMapper mapper, DeviceMapper devices, AccountOperations accounts, Post post, Clock clock) {
        this.mapper = mapper;
        this.devices = devices;
        this.accounts = accounts;
        this.post = post;
        this.clock = clock;
    }

    @Transactional
    public void send(long site) {
        if (!post.open()) {
            return;
        }
        Instant now = clock.instant();
        List<AlertRow> unsent = mapper.list(site, now).stream()
                .filter(alert -> alert.endedAt() == null && alert.sentAt() == null)
                .filter(alert -> Alarm.valueOf(alert.alarm()).mailed())
                .filter(alert -> alert.quietUntil() == null || !now.isBefore(alert.quietUntil()))
                .toList();
        if (unsent.isEmpty()) {
            return;
        }
        List<MailWish> wishes = mapper.listMails(site);
        Map<Long, DeviceRow> known = DeviceRow.byId(devices.list(site, null));
        Units units = accounts.unitsOf(site).measures();
        int hour = now.atZone(clock.getZone()).getHour();
        for (AlertRow alert : unsent) {
            DeviceRow device = known.get(alert.deviceId());
            boolean danger = Alarm.valueOf(alert.alarm()).danger();
            boolean waits = wishes.stream().anyMatch(wish -> !danger && quiet(wish, hour));
            if (device != null && !waits && mapper.updateSent(site, alert.id(), now) == 1) {
                String what = AlertOperations.words(alert, device, now, units);
                wishes.forEach(wish -> post.send(
                        wish.address(),
                        device.tankName() + ": " + what,
                        what + "\n\n" + AlarmWords.then(Alarm.valueOf(alert.alarm())) + "\n"));
            }
        }
    }

    /** Whether an hour lies between two, around midnight too; of two that are the same none does. */
    static boolean quiet(MailWish wish, int hour) {
        return wish.quietFrom() <= wish.quietTo()
                ? hour >= wish.quietFrom() && hour < wish.quietTo()
                : hour >= wish.quietFrom() || hour < wish.quietTo();
    }
}
