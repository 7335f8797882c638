package app.chervil.server.tank;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;

/**
 * A new description of a tank.
 *
 * @param version the one that was read
 * @param changedOn the day a change of stocking or feeding took place
 */
public record TankChange(
        int version,
        @NotNull LocalDate changedOn,
        @NotNull @Valid TankInput tank) {}
