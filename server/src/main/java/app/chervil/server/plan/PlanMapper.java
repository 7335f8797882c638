package app.chervil.server.plan;

import app.chervil.core.plan.Instance.How;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Tables plan, plan_visit, plan_step, plan_decision and plan_change. */
@Mapper
interface PlanMapper {
    /** One at a time for each site: who comes second finds what the first one planned. */
    @Select("select pg_advisory_xact_lock(471120262, #{site}::int)::text")
    String lock(long site);

    @Select("select version, made_on, fingerprint, weeks, snapshot from plan where site_id = #{site}")
    Optional<PlanRow> find(long site);

    @Insert("""
            insert into plan (site_id, version, made_on, fingerprint, weeks, snapshot)
            values (#{site}, 1, #{plan.madeOn}, #{plan.fingerprint}, #{plan.weeks}, #{plan.snapshot})
            on conflict on constraint plan_pk do update
            set version = plan.version + 1, made_on = #{plan.madeOn}, fingerprint = #{plan.fingerprint},
                weeks = #{plan.weeks}, snapshot = #{plan.snapshot}
            """)
    void save(long site, PlanRow plan);

    @Select("""
            select id, tank_id, on_day, account_id, minutes, work, sequence, changed_at
            from plan_visit
            where site_id = #{site} and on_day >= #{since}
            order by on_day, tank_id, id
            """)
    List<VisitRow> listVisits(long site, LocalDate since);

    /**
     * Stores visits, new or changed.
     *
     * @param rows as a JSON list of {@link VisitRow}
     */
    @Insert("""
            insert into plan_visit (id, site_id, tank_id, on_day, account_id, minutes, work, sequence, changed_at)
            select r.id, #{site}, r."tankId", r."onDay", r."accountId", r.minutes, r.work, r.sequence, r."changedAt"
            from json_to_recordset(#{rows}::json) as r(
              id uuid, "tankId" bigint, "onDay" date, "accountId" bigint, minutes int, work text, sequence int,
              "changedAt" timestamptz)
            on conflict on constraint plan_visit_pk do update
            set on_day = excluded.on_day, account_id = excluded.account_id, minutes = excluded.minutes,
                work = excluded.work, sequence = excluded.sequence, changed_at = excluded.changed_at
            """)
    void saveVisits(long site, String rows);

    /**
     * Forgets visits.
     *
     * @param ids as a JSON list
     */
    @Delete("""
            delete from plan_visit
            where site_id = #{site} and id in (select value::uuid from json_array_elements_text(#{ids}::json))
            """)
    void deleteVisits(long site, String ids);

    @Select("""
            insert into plan_step (site_id, words, made_by, made_at, before)
            values (#{site}, #{words}, #{by}, #{now}, #{before})
            returning id
            """)
    long insertStep(long site, String words, String by, Instant now, String before);

    @Select("""
            select id, words, made_by, made_at, before
            from plan_step
            where site_id = #{site} and undone_at is null and made_at > #{since}
            order by id desc
            limit 1
            """)
    Optional<StepRow> findLastStep(long site, Instant since);

    @Update("update plan_step set undone_at = #{now} where site_id = #{site} and id = #{id}")
    void updateStep(long site, long id, Instant now);

    @Select("""
            select id, chain, on_day, how, made_in
            from plan_decision
            where site_id = #{site} and ended_in is null and on_day >= #{since}
            order by on_day, id
            """)
    List<DecisionRow> listDecisions(long site, LocalDate since);

    @Insert("""
            insert into plan_decision (site_id, chain, on_day, how, made_in)
            values (#{site}, #{chain}, #{onDay}, #{how}, #{step})
            """)
    void insertDecision(long site, long chain, LocalDate onDay, How how, long step);

    @Update("update plan_decision set ended_in = #{step} where site_id = #{site} and id = #{id}")
    void endDecision(long site, long id, long step);

    @Delete("delete from plan_decision where site_id = #{site} and made_in = #{step}")
    void deleteDecisions(long site, long step);

    @Update("update plan_decision set ended_in = null where site_id = #{site} and ended_in = #{step}")
    void reviveDecisions(long site, long step);

    @Insert(
            "insert into plan_change (site_id, changed_at, causes, moves) values (#{site}, #{now}, #{causes}, #{moves})")
    void insertChange(long site, Instant now, String causes, String moves);

    @Select("""
            select changed_at, causes, moves
            from plan_change
            where site_id = #{site}
            order by id desc
            limit #{limit}
            """)
    List<ChangeRow> listChanges(long site, int limit);

    /** Table plan. */
    record PlanRow(int version, LocalDate madeOn, String fingerprint, int weeks, String snapshot) {}

    /**
     * Table plan_visit.
     *
     * @param work its occurrences as a JSON list of chain/time/since
     */
    record VisitRow(
            UUID id,
            long tankId,
            LocalDate onDay,
            @Nullable Long accountId,
            int minutes,
            String work,
            int sequence,
            Instant changedAt) {}

    /** Table plan_step: something a keeper decided in one go. */
    record StepRow(long id, String words, String madeBy, Instant madeAt, String before) {}

    /** Table plan_decision. */
    record DecisionRow(long id, long chain, LocalDate onDay, How how, long madeIn) {}

    /** Table plan_change. */
    record ChangeRow(Instant changedAt, String causes, String moves) {}
}
