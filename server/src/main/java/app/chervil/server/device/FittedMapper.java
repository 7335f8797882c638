package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.device.Fitted;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Tables device and metered_flow, read together. */
@Mapper
interface FittedMapper {
    /**
     * Devices at work, and what was read of filters' flow.
     *
     * @param tank null for all tanks of the site
     */
    @Select("""
            select json_build_object(
              'devices',
              coalesce((
                select json_agg(device order by name, id)
                from device
                where site_id = #{site} and tank_id = coalesce(#{tank}::bigint, tank_id) and removed_at is null
              ), '[]'),
              'flows',
              coalesce((
                select json_agg(
                  json_build_object(
                    'tank_id', filter.tank_id, 'filter_id', filter.id, 'day', day, 'litres_per_hour', litres_per_hour))
                from metered_flow
                join filter on filter.site_id = metered_flow.site_id and filter.id = metered_flow.filter_id
                where metered_flow.site_id = #{site} and filter.tank_id = coalesce(#{tank}::bigint, filter.tank_id)
              ), '[]')
            )
            """)
    AtWork find(long site, @Nullable Long tank);

    /** What a statement gathered of devices. */
    record AtWork(List<FittedRow> devices, List<FlowDay> flows) {}

    /** Table device, of what bears on care. */
    record FittedRow(
            long id,
            long tankId,
            DeviceKind kind,
            String name,
            LocalDate fittedOn,
            @Nullable LocalDate testedOn) {
        Fitted fitted() {
            return new Fitted(id, kind, name, fittedOn, Optional.ofNullable(testedOn));
        }
    }

    /** Table metered_flow: a day's flow. */
    record FlowDay(long tankId, long filterId, LocalDate day, double litresPerHour) {}
}
