package sparen.app.logbook;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The log of sites in the database. People come by their full names. */
@Mapper
interface LogMapper {
    /** An entry in JSON, who made it, and whether it was withdrawn. */
    record Row(UUID id, String entry, String madeBy, Instant madeAt, Instant withdrawnAt) {}

    /** The newest of what was done before an instant; those withdrawn too. */
    @Select(
            """
            select e.id, e.entry::text as entry, a.full_name as made_by, e.made_at, e.withdrawn_at
            from log_entry e join account a on a.name = e.made_by
            where e.site_id = #{siteId} and e.at < #{before} order by e.at desc, e.id limit #{most}
            """)
    List<Row> entries(String siteId, Instant before, int most);

    @Select(
            """
            select e.id, e.entry::text as entry, a.full_name as made_by, e.made_at, e.withdrawn_at
            from log_entry e join account a on a.name = e.made_by where e.site_id = #{siteId} and e.id = #{id}
            """)
    Optional<Row> entry(String siteId, UUID id);

    /** One that is kept already stays as it is: 0 then. */
    @Insert(
            """
            insert into log_entry (site_id, id, kind, at, entry, made_by, made_at)
            values (#{siteId}, #{row.id}, #{kind}, #{at}, #{row.entry}::jsonb, #{row.madeBy}, #{row.madeAt}) on conflict do nothing
            """)
    int add(String siteId, String kind, Instant at, @Param("row") Row row);

    @Update(
            """
            update log_entry set withdrawn_by = #{account}, withdrawn_at = #{at}
            where site_id = #{siteId} and id = #{id} and withdrawn_at is null
            """)
    int withdraw(String siteId, @Param("id") UUID id, String account, Instant at);

    @Update(
            """
            update log_entry set withdrawn_by = null, withdrawn_at = null
            where site_id = #{siteId} and id = #{id} and withdrawn_at is not null
            """)
    int putBack(String siteId, @Param("id") UUID id);

    /** When each kind of entry was made last. */
    record LastRow(String kind, Instant at) {}

    @Select(
            """
            select kind, max(at) as at from log_entry where site_id = #{siteId} and withdrawn_at is null group by kind
            """)
    List<LastRow> last(String siteId);

    /** How often something is due; 0 for never. */
    record IntervalRow(String kind, int everyDays) {}

    @Select("select kind, every_days from upkeep_interval where site_id = #{siteId}")
    List<IntervalRow> intervals(String siteId);

    @Insert(
            """
            insert into upkeep_interval (site_id, kind, every_days, set_by, set_at)
            values (#{siteId}, #{kind}, #{everyDays}, #{account}, #{at})
            on conflict (site_id, kind) do update set every_days = excluded.every_days, set_by = excluded.set_by,
              set_at = excluded.set_at
            """)
    void setInterval(String siteId, String kind, int everyDays, String account, Instant at);

    @Delete("delete from upkeep_interval where site_id = #{siteId} and kind = #{kind}")
    int removeInterval(String siteId, String kind);

    /** A photo of an entry, without the picture. */
    record PhotoRow(UUID id, UUID entry, String takenBy, Instant takenAt) {}

    @Select(
            """
            select p.id, p.entry, a.full_name as taken_by, p.taken_at
            from log_photo p join account a on a.name = p.taken_by where p.site_id = #{siteId} order by p.taken_at, p.id
            """)
    List<PhotoRow> photos(String siteId);

    @Insert(
            """
            insert into log_photo (site_id, entry, id, jpeg, taken_by, taken_at)
            values (#{siteId}, #{row.entry}, #{row.id}, #{jpeg}, #{row.takenBy}, #{row.takenAt}) on conflict do nothing
            """)
    int addPhoto(String siteId, @Param("row") PhotoRow row, byte[] jpeg);

    /** The picture of a photo. */
    record JpegRow(byte[] jpeg) {}

    @Select("select jpeg from log_photo where site_id = #{siteId} and id = #{id}")
    Optional<JpegRow> jpeg(String siteId, @Param("id") UUID id);

    /** A day as a device keeps it. */
    record DayRow(LocalDate day, double lowestVolts, Double highestVolts, Double inWattHours, Double outWattHours) {}

    @Select(
            """
            select day, lowest_volts, highest_volts, in_watt_hours, out_watt_hours from daily_figure
            where site_id = #{siteId} order by day
            """)
    List<DayRow> days(String siteId);

    @Insert(
            """
            insert into daily_figure (site_id, day, lowest_volts, highest_volts, in_watt_hours, out_watt_hours, noted_by, noted_at)
            values (#{siteId}, #{row.day}, #{row.lowestVolts}, #{row.highestVolts}, #{row.inWattHours}, #{row.outWattHours},
              #{account}, #{at})
            on conflict (site_id, day) do update set lowest_volts = excluded.lowest_volts,
              highest_volts = excluded.highest_volts, in_watt_hours = excluded.in_watt_hours,
              out_watt_hours = excluded.out_watt_hours, noted_by = excluded.noted_by, noted_at = excluded.noted_at
            """)
    void putDay(String siteId, @Param("row") DayRow row, String account, Instant at);

    @Delete("delete from daily_figure where site_id = #{siteId} and day = #{day}")
    int removeDay(String siteId, LocalDate day);
}
