package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Table device, and the doors by which tokens lead to their sites. */
@Mapper
interface DeviceMapper {
    @Select("""
            select
              device.site_id, device.id, device.tank_id, device.filter_id, device.stage_id, device.kind, device.name,
              device.fitted_on, device.tested_on, device.tested_before, device.quiet_minutes, device.fitted_by,
              tank.name as tank_name, filter.name as filter_name, stage.kind as stage_kind, stage.label as stage_label
            from device
            join tank on tank.site_id = device.site_id and tank.id = device.tank_id
            left join filter on filter.site_id = device.site_id and filter.id = device.filter_id
            left join stage on stage.site_id = device.site_id and stage.id = device.stage_id
            where device.site_id = #{site}
              and device.id = coalesce(#{id}::bigint, device.id)
              and device.removed_at is null
              and tank.deleted_at is null
            order by tank.name, device.name, device.id
            """)
    List<DeviceRow> list(long site, @Nullable Long id);

    default Optional<DeviceRow> find(long site, long id) {
        return list(site, id).stream().findFirst();
    }

    /** Sites that have a device. */
    @Select("select distinct site_id from door where kind = 'DEVICE' order by site_id")
    List<Long> listSites();

    /** The device behind a token's mark. */
    @Select("""
            select device.site_id, device.id
            from door
            join device_token on device_token.site_id = door.site_id and device_token.mark = door.mark
            join device on device.site_id = device_token.site_id and device.id = device_token.device_id
            where door.kind = 'DEVICE' and door.mark = #{mark} and device.removed_at is null
            """)
    Optional<Place> findByMark(String mark);

    @Select(affectData = true, value = """
            insert into device (site_id, tank_id, filter_id, stage_id, kind, name, fitted_on, quiet_minutes, fitted_by)
            values (#{site}, #{row.tankId}, #{row.filterId}, #{row.stageId}, #{row.kind}, #{row.name}, #{row.fittedOn},
              #{row.quietMinutes}, #{by})
            returning id
            """)
    long insert(long site, long by, NewDevice row);

    @Update("""
            update device set name = #{name}, fitted_on = #{fittedOn}, quiet_minutes = #{quietMinutes}
            where site_id = #{site} and id = #{id}
            """)
    void update(long site, long id, String name, LocalDate fittedOn, @Nullable Integer quietMinutes);

    @Update("""
            update device set tested_on = #{on}, tested_before = #{before}
            where site_id = #{site} and id = #{id}
            """)
    void updateTested(long site, long id, @Nullable LocalDate on, @Nullable LocalDate before);

    @Insert("""
            insert into device_token (site_id, device_id, mark) values (#{site}, #{id}, #{mark})
            on conflict on constraint device_token_pk do update set mark = excluded.mark
            """)
    void saveToken(long site, long id, String mark);

    @Delete("delete from device_token where site_id = #{site} and device_id = #{id}")
    void deleteToken(long site, long id);

    @Update("update device set removed_at = now() where site_id = #{site} and id = #{id}")
    void updateRemoved(long site, long id);

    @Insert("insert into door (kind, mark, site_id) values ('DEVICE', #{mark}, #{site})")
    void insertDoor(long site, String mark);

    @Delete("""
            delete from door
            where site_id = #{site} and kind = 'DEVICE'
              and mark = (select mark from device_token where site_id = #{site} and device_id = #{id})
            """)
    void deleteDoor(long site, long id);

    /** Holds a tank for as long as this transaction lasts. */
    @Select("select id from tank where site_id = #{site} and id = #{tank} for update")
    Optional<Long> findTankLocked(long site, long tank);

    /** Where a device is. */
    record Place(long siteId, long id) {}

    /** A device to be. */
    record NewDevice(
            long tankId,
            @Nullable Long filterId,
            @Nullable Long stageId,
            DeviceKind kind,
            String name,
            LocalDate fittedOn,
            @Nullable Integer quietMinutes) {}
}
