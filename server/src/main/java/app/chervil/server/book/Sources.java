package app.chervil.server.book;

import org.springframework.stereotype.Component;

/** Where the site's picture comes from, beside tanks and filters. */
@Component
class Sources {
    private final ServiceLog services;
    private final WaterLog water;
    private final ChoreLog chores;
    private final CareLog care;
    private final TrialBook trials;
    private final FaultLog faults;
    private final DeviceLog devices;

    Sources(
            ServiceLog services,
            WaterLog water,
            ChoreLog chores,
            CareLog care,
            TrialBook trials,
            FaultLog faults,
            DeviceLog devices) {
        this.devices = devices;
        this.faults = faults;
        this.services = services;
        this.water = water;
        this.chores = chores;
        this.care = care;
        this.trials = trials;
    }

    ServiceLog services() {
        return services;
    }

    WaterLog water() {
        return water;
    }

    ChoreLog chores() {
        return chores;
    }

    CareLog care() {
        return care;
    }

    FaultLog faults() {
        return faults;
    }

    DeviceLog devices() {
        return devices;
    }

    TrialBook trials() {
        return trials;
    }
}
