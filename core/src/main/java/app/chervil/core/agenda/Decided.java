package app.chervil.core.agenda;

import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance.How;
import java.time.LocalDate;

/**
 * What a keeper decided on work of a chain.
 *
 * @param id opaque here; by it a decision is ended
 */
public record Decided(long id, ChainId chain, LocalDate on, How how) {}
