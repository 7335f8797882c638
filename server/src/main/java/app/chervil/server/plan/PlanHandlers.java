package app.chervil.server.plan;

import app.chervil.core.agenda.PlanState;
import app.chervil.server.plan.PlanMapper.Hanging;
import app.chervil.server.plan.PlanMapper.Lately;
import app.chervil.server.plan.PlanMapper.Moves;
import app.chervil.server.plan.PlanMapper.VisitRows;
import app.chervil.server.plan.PlanMapper.Words;
import app.chervil.server.storage.JsonHandler;
import org.apache.ibatis.type.MappedTypes;

/** How parts of a plan are stored, and gathered by a statement. */
public final class PlanHandlers {
    private PlanHandlers() {}

    /** The plan itself, stored whole. */
    @MappedTypes(PlanState.class)
    public static class OfState extends JsonHandler<PlanState> {
        /** Made by the database layer. */
        public OfState() {
            super(PlanState.class, Names.FIELDS);
        }
    }

    /** What hangs on a plan. */
    @MappedTypes(Hanging.class)
    public static class OfHanging extends JsonHandler<Hanging> {
        /** Made by the database layer. */
        public OfHanging() {
            super(Hanging.class, Names.COLUMNS);
        }
    }

    /** What happened to a plan. */
    @MappedTypes(Lately.class)
    public static class OfLately extends JsonHandler<Lately> {
        /** Made by the database layer. */
        public OfLately() {
            super(Lately.class, Names.COLUMNS);
        }
    }

    /** Visits to be stored. */
    @MappedTypes(VisitRows.class)
    public static class OfVisits extends JsonHandler<VisitRows> {
        /** Made by the database layer. */
        public OfVisits() {
            super(VisitRows.class, Names.COLUMNS);
        }
    }

    /** Some sentences, stored as a list. */
    @MappedTypes(Words.class)
    public static class OfWords extends JsonHandler<Words> {
        /** Made by the database layer. */
        public OfWords() {
            super(Words.class, Names.FIELDS);
        }
    }

    /** Occurrences that moved, stored as a list. */
    @MappedTypes(Moves.class)
    public static class OfMoves extends JsonHandler<Moves> {
        /** Made by the database layer. */
        public OfMoves() {
            super(Moves.class, Names.FIELDS);
        }
    }
}
