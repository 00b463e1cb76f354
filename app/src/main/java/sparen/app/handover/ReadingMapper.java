package sparen.app.handover;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Readings of devices in the database. */
@Mapper
interface ReadingMapper {
    /** A reading; its entries are JSON. */
    record Row(UUID id, String device, Instant readAt, String readBy, int revision, String entries) {}

    /** All of a site, the oldest first; by the full name of who read. */
    @Select(
            """
            select r.id, r.device, r.read_at, a.full_name as read_by, r.revision, r.entries::text as entries
            from device_reading r join account a on a.name = r.read_by
            where r.site_id = #{siteId} order by r.read_at, r.id
            """)
    List<Row> of(String siteId);

    /** One that is kept already, because its answer was lost, stays as it is: 0 then. */
    @Insert(
            """
            insert into device_reading (site_id, device, id, read_at, read_by, revision, entries)
            values (#{siteId}, #{row.device}, #{row.id}, #{row.readAt}, #{row.readBy}, #{row.revision}, #{row.entries}::jsonb)
            on conflict do nothing
            """)
    int add(String siteId, Row row);

    @Select("select count(*) from device_reading where site_id = #{siteId} and device = #{device}")
    int count(String siteId, String device);
}
