package sparen.app.wire;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Connections in the database. */
@Mapper
interface ConnectionMapper {
    /** A device with its connection. */
    record Row(
            String device,
            String host,
            int port,
            int unit,
            Integer readEveryHours,
            Instant silentSince,
            String silentWhy) {}

    @Select(
            """
            select device, host, port, unit, read_every_hours, silent_since, silent_why
            from device_connection where site_id = #{siteId} order by device
            """)
    List<Row> of(String siteId);

    @Insert(
            """
            insert into device_connection (site_id, device, host, port, unit, read_every_hours, set_by, set_at)
            values (#{siteId}, #{device}, #{to.host}, #{to.port}, #{to.unit}, #{readEveryHours}, #{account}, #{at})
            on conflict (site_id, device) do update
            set host = excluded.host, port = excluded.port, unit = excluded.unit, read_every_hours = excluded.read_every_hours,
              set_by = excluded.set_by, set_at = excluded.set_at, ask_at = excluded.ask_at,
              silent_since = null, silent_why = null, read_at = null
            """)
    void put(String siteId, String device, Connection to, Integer readEveryHours, String account, Instant at);

    @Delete("delete from device_connection where site_id = #{siteId} and device = #{device}")
    int remove(String siteId, String device);

    /** Whether something is being written to a device, or was left half written. */
    @Select(
            """
            select exists (select from transfer where site_id = #{siteId} and device = #{device} and ended_at is null)
            """)
    boolean isBeingWritten(String siteId, String device);

    /** Whether somebody is writing at an address right now. */
    @Select("select exists (select from device_lease where address = #{address} and until > now())")
    boolean isLeased(String address);

    /**
     * Takes the devices that are to be asked now. Nobody takes one again before it has answered, or was silent, or a minute is over: then
     * whoever took it is gone.
     */
    @Select(
            value =
                    """
            update device_connection c set ask_at = now() + interval '1 minute'
            from (select d.site_id, d.device from device_connection d join site s on s.id = d.site_id and s.state = 'ACTIVE'
                  where d.ask_at <= now() order by d.ask_at limit #{most} for update of d skip locked) due
            where c.site_id = due.site_id and c.device = due.device
            returning c.site_id, c.device, c.set_by,
              coalesce(c.read_at + c.read_every_hours * interval '1 hour' <= now(), c.read_every_hours is not null) as reads_menu
            """,
            affectData = true)
    List<Connections.Due> takeDue(int most);

    /**
     * That a device answered.
     *
     * @param seconds when it is asked again, from when it was taken on
     */
    @Update(
            """
            update device_connection set silent_since = null, silent_why = null,
              ask_at = ask_at - interval '1 minute' + #{seconds} * interval '1 second'
            where site_id = #{siteId} and device = #{device}
            """)
    void answered(String siteId, String device, double seconds);

    /** That its menu was read. */
    @Update("update device_connection set read_at = now() where site_id = #{siteId} and device = #{device}")
    void menuRead(String siteId, String device);

    /** That a device did not answer: the longer it is silent, the more seldom it is asked, down to every five minutes. */
    @Update(
            """
            update device_connection set silent_since = coalesce(silent_since, now()), silent_why = #{why},
              ask_at = now() + least(interval '5 minutes',
                greatest(#{seconds} * interval '1 second', (now() - coalesce(silent_since, now())) / 2))
            where site_id = #{siteId} and device = #{device}
            """)
    void silent(String siteId, String device, String why, double seconds);
}
