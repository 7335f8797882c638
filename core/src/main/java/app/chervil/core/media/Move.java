package app.chervil.core.media;

import java.time.LocalDate;
import java.util.UUID;

/**
 * A piece laid somewhere. Where it came from follows from the move before, so that one entered late fits between two others.
 *
 * @param number the later told has the higher; tells two moves of a day apart
 */
public record Move(UUID piece, LocalDate on, long number, Spot to) {}
