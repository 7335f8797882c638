package app.chervil.server.device;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** What devices read: tables device_state, device_reading, device_hour, device_day and metered_flow. */
@Mapper
interface SignalMapper {
    @Insert("insert into device_state (site_id, device_id, heard_at) values (#{site}, #{device}, #{now})")
    void insertState(long site, long device, Instant now);

    @Select("""
            select device_id, heard_at, last_at, last_value, amiss_since, usual, back_on, gone_at
            from device_state
            where site_id = #{site}
            """)
    List<StateRow> listStates(long site);

    /** The state of a device; nobody else tells it anything until this transaction is over. */
    @Select("""
            select device_id, heard_at, last_at, last_value, amiss_since, usual, back_on, gone_at
            from device_state
            where site_id = #{site} and device_id = #{device}
            for update
            """)
    Optional<StateRow> findLocked(long site, long device);

    @Update("""
            update device_state
            set heard_at = #{row.heardAt}, last_at = #{row.lastAt}, last_value = #{row.lastValue},
              amiss_since = #{row.amissSince}, usual = #{row.usual}, back_on = #{row.backOn}, gone_at = #{row.goneAt}
            where site_id = #{site} and device_id = #{row.deviceId}
            """)
    void updateState(long site, StateRow row);

    @Update("""
            update device_state set gone_at = #{now}
            where site_id = #{site} and device_id = #{device} and gone_at is null
            """)
    void updateGone(long site, long device, Instant now);

    /**
     * Keeps readings that are not there yet.
     *
     * @return stamps of those that were new
     */
    @Select(affectData = true, value = """
            insert into device_reading (site_id, device_id, stamp, read_at, value)
            select #{site}, #{device}, told.stamp, told.read_at, told.value
            from jsonb_to_recordset(#{rows}::jsonb) as told (stamp timestamptz, read_at timestamptz, value float8)
            on conflict on constraint device_reading_pk do nothing
            returning stamp
            """)
    List<Instant> insertReadings(long site, long device, ReadingRows rows);

    /** Adds to hours. */
    @Insert("""
            insert into device_hour (site_id, device_id, hour, least, greatest, total, readings)
            select #{site}, #{device}, told.begins, told.least, told.greatest, told.total, told.readings
            from jsonb_to_recordset(#{rows}::jsonb)
              as told (begins timestamptz, least float8, greatest float8, total float8, readings int)
            on conflict on constraint device_hour_pk do update
            set least = least(device_hour.least, excluded.least), greatest = greatest(device_hour.greatest, excluded.greatest),
              total = device_hour.total + excluded.total, readings = device_hour.readings + excluded.readings
            """)
    void addHours(long site, long device, SumRows rows);

    /** Adds to days and answers what they now come to where something moved. */
    @Select(affectData = true, value = """
            insert into device_day (site_id, device_id, day, least, greatest, total, readings, moving_total, moving)
            select #{site}, #{device}, told.begins, told.least, told.greatest, told.total, told.readings, told.moving_total,
              told.moving
            from jsonb_to_recordset(#{rows}::jsonb)
              as told (begins date, least float8, greatest float8, total float8, readings int, moving_total float8, moving int)
            on conflict on constraint device_day_pk do update
            set least = least(device_day.least, excluded.least), greatest = greatest(device_day.greatest, excluded.greatest),
              total = device_day.total + excluded.total, readings = device_day.readings + excluded.readings,
              moving_total = device_day.moving_total + excluded.moving_total, moving = device_day.moving + excluded.moving
            returning day, moving_total / greatest(moving, 1) as mean
            """)
    List<DayMean> addDays(long site, long device, SumRows rows);

    /** Keeps a day's flow if it is new or has moved by more than a fiftieth. */
    @Insert("""
            insert into metered_flow (site_id, filter_id, day, litres_per_hour)
            values (#{site}, #{filter}, #{mean.day}, #{mean.mean})
            on conflict on constraint metered_flow_pk do update set litres_per_hour = excluded.litres_per_hour
            where abs(excluded.litres_per_hour - metered_flow.litres_per_hour) > 0.02 * metered_flow.litres_per_hour
            """)
    void saveFlow(long site, long filter, DayMean mean);

    /** Readings since a moment, of each of so many stretches the least and the greatest. */
    @Select("""
            select min(read_at) as at, min(value) as least, max(value) as greatest, avg(value) as mean
            from device_reading
            where site_id = #{site} and device_id = #{device} and read_at >= #{since}::timestamptz
            group by date_bin(make_interval(secs => #{seconds}), read_at, #{since}::timestamptz)
            order by 1
            """)
    List<Stretch> listReadings(long site, long device, Instant since, double seconds);

    @Select("""
            select hour as at, least, greatest, total / readings as mean
            from device_hour
            where site_id = #{site} and device_id = #{device} and hour >= #{since}
            order by hour
            """)
    List<Stretch> listHours(long site, long device, Instant since);

    @Select("""
            select day::timestamp at time zone #{zone} as at, least, greatest, total / readings as mean
            from device_day
            where site_id = #{site} and device_id = #{device} and day >= #{since}
            order by day
            """)
    List<Stretch> listDays(long site, long device, LocalDate since, String zone);

    @Delete("delete from device_reading where site_id = #{site} and read_at < #{before}")
    int deleteReadings(long site, Instant before);

    @Delete("delete from device_hour where site_id = #{site} and hour < #{before}")
    int deleteHours(long site, Instant before);

    /** Table device_state. */
    record StateRow(
            long deviceId,
            Instant heardAt,
            @Nullable Instant lastAt,
            @Nullable Double lastValue,
            @Nullable Instant amissSince,
            @Nullable Double usual,
            @Nullable Instant backOn,
            @Nullable Instant goneAt) {
        /** States by their device. */
        static Map<Long, StateRow> byDevice(List<StateRow> states) {
            return states.stream().collect(Collectors.toMap(StateRow::deviceId, Function.identity()));
        }
    }

    /** What a day's readings come to in the middle, those apart at which nothing moved; 0 if nothing ever did. */
    record DayMean(LocalDate day, double mean) {}

    /** A stretch of a curve. */
    record Stretch(Instant at, double least, double greatest, double mean) {}
}
