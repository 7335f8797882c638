package app.chervil.server.book;

import org.springframework.stereotype.Component;

/** Where the site's picture comes from, beside tanks and filters. */
@Component
record Sources(ServiceLog services, CareLog care, TrialBook trials, FaultLog faults, TankLogs tanks) {}
