package sparen.app.wire;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Connections in the database. */
@Mapper
interface ConnectionMapper {
    /** A device with its connection. */
    record Row(String device, String host, int port, int unit) {}

    @Select("select device, host, port, unit from device_connection where site_id = #{siteId} order by device")
    List<Row> of(String siteId);

    @Insert(
            """
            insert into device_connection (site_id, device, host, port, unit, set_by, set_at)
            values (#{siteId}, #{row.device}, #{row.host}, #{row.port}, #{row.unit}, #{account}, #{at})
            on conflict (site_id, device) do update
            set host = excluded.host, port = excluded.port, unit = excluded.unit, set_by = excluded.set_by, set_at = excluded.set_at
            """)
    void put(String siteId, Row row, String account, Instant at);

    @Delete("delete from device_connection where site_id = #{siteId} and device = #{device}")
    int remove(String siteId, String device);

    /** Whether something is being written to a device, or was left half written. */
    @Select(
            """
            select exists (select from transfer where site_id = #{siteId} and device = #{device} and ended_at is null)
            """)
    boolean isBeingWritten(String siteId, String device);
}
