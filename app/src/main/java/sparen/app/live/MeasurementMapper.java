package sparen.app.live;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What devices measured, in the database. */
@Mapper
interface MeasurementMapper {
    /** One measurement; numbers and contacts are JSON. */
    record Row(Instant at, Double volts, String numbers, String closed) {}

    @Insert(
            """
            insert into measurement (site_id, device, at, volts, numbers, closed)
            values (#{siteId}, #{device}, #{row.at}, #{row.volts}, #{row.numbers}::jsonb, #{row.closed}::jsonb)
            on conflict do nothing
            """)
    void keep(String siteId, String device, Row row);

    /** Those of a device from an instant on, the oldest first. */
    @Select(
            """
            select at, volts, numbers::text as numbers, closed::text as closed from measurement
            where site_id = #{siteId} and device = #{device} and at >= #{from} order by at
            """)
    List<Row> since(String siteId, String device, Instant from);

    /** Those of a site within the last minute, of devices that are still connected, the oldest first. */
    @Select(
            """
            select m.at, m.volts, m.numbers::text as numbers, m.closed::text as closed
            from device_connection d join measurement m on m.site_id = d.site_id and m.device = d.device
            where d.site_id = #{siteId} and m.at > now() - interval '1 minute' order by m.at
            """)
    List<Row> latest(String siteId);

    /**
     * Thins what is of a certain age: of each while the lowest and the highest voltage stay, and every moment at which a contact had
     * moved.
     *
     * @param seconds length of the while
     */
    @Delete(
            """
            delete from measurement m using (
              select site_id, device, at,
                row_number() over (partition by site_id, device, floor(extract(epoch from at) / #{seconds}) order by volts, at) as low,
                row_number() over (partition by site_id, device, floor(extract(epoch from at) / #{seconds}) order by volts desc, at) as high,
                closed is distinct from lag(closed) over (partition by site_id, device order by at) as moved
              from measurement where at >= #{from} and at < #{before}
            ) told
            where m.site_id = told.site_id and m.device = told.device and m.at = told.at
              and told.low > 1 and told.high > 1 and not told.moved
            """)
    int thin(Instant from, Instant before, int seconds);
}
