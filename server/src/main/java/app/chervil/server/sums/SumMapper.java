package app.chervil.server.sums;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Tables sum_rule, sum_kept and vessel. */
@Mapper
interface SumMapper {
    @Select("""
            select rule_key, value
            from sum_rule
            where site_id = #{site}
            order by rule_key
            """)
    List<RuleRow> listRules(long site);

    @Insert("""
            insert into sum_rule (site_id, rule_key, value)
            values (#{site}, #{rule.ruleKey}, #{rule.value})
            on conflict on constraint sum_rule_pk do update set value = excluded.value
            """)
    void saveRule(long site, RuleRow rule);

    @Delete("delete from sum_rule where site_id = #{site} and rule_key = #{key}")
    void deleteRule(long site, String key);

    @Select("""
            select sum_name, given, kept_at
            from sum_kept
            where site_id = #{site} and tank_id = #{tank}
            order by kept_at desc, sum_name
            """)
    List<KeptRow> listKept(long site, long tank);

    @Insert("""
            insert into sum_kept (site_id, tank_id, sum_name, given, kept_at)
            values (#{site}, #{tank}, #{kept.sumName}, #{kept.given}, #{kept.keptAt})
            on conflict on constraint sum_kept_pk do update set given = excluded.given, kept_at = excluded.kept_at
            """)
    void saveKept(long site, long tank, KeptRow kept);

    @Select("""
            select id, kind, name, millilitres
            from vessel
            where site_id = #{site}
            order by kind desc, millilitres, name, id
            """)
    List<VesselRow> listVessels(long site);

    @Insert("""
            insert into vessel (site_id, id, kind, name, millilitres)
            values (#{site}, #{vessel.id}, #{vessel.kind}, #{vessel.name}, #{vessel.millilitres})
            on conflict on constraint vessel_pk do update
            set kind = excluded.kind, name = excluded.name, millilitres = excluded.millilitres
            """)
    void saveVessel(long site, VesselRow vessel);

    @Delete("delete from vessel where site_id = #{site} and id = #{id}")
    int deleteVessel(long site, UUID id);

    /** Table sum_rule. */
    record RuleRow(String ruleKey, double value) {}

    /** Table sum_kept. */
    record KeptRow(String sumName, Given given, Instant keptAt) {}

    /** Table vessel. */
    record VesselRow(UUID id, VesselInput.Kind kind, String name, double millilitres) {}
}
