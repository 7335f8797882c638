package app.chervil.server.book;

import org.springframework.stereotype.Component;

/** What is known of tanks apart from their filters. */
@Component
record TankLogs(WaterLog water, ChoreLog chores, DeviceLog devices) {}
