package sparen.app.benchtest;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Bench tests in the database. People come by their full names. */
@Mapper
interface BenchTestMapper {
    /** A test; its steps are JSON. */
    record Row(
            UUID id,
            int revision,
            String begunBy,
            Instant begunAt,
            String steps,
            boolean signed,
            String endedBy,
            Instant endedAt,
            String checksum) {}

    /** What was measured at a step; measured is null where it was left out. */
    record ResultRow(
            UUID id,
            String step,
            Double measured,
            Double afterSeconds,
            Double setTo,
            String instrument,
            String note,
            String measuredBy,
            Instant measuredAt) {}

    /** Something plugged in. */
    record PluggedRow(UUID id, String what, String pluggedBy, Instant pluggedAt, String removedBy, Instant removedAt) {}

    String COLUMNS =
            """
            select t.id, t.revision, b.full_name as begun_by, t.begun_at, t.steps::text as steps, t.signed,
              e.full_name as ended_by, t.ended_at, t.checksum
            from bench_test t join account b on b.name = t.begun_by left join account e on e.name = t.ended_by
            """;

    @Insert(
            """
            insert into bench_test (id, site_id, revision, begun_by, begun_at, steps)
            values (#{id}, #{siteId}, #{revision}, #{account}, #{at}, #{steps}::jsonb)
            """)
    void insert(UUID id, String siteId, int revision, String account, Instant at, String steps);

    @Select(COLUMNS + "where t.site_id = #{siteId} and t.id = #{id}")
    Optional<Row> find(String siteId, UUID id);

    @Select(COLUMNS + "where t.site_id = #{siteId} order by t.begun_at desc limit 100")
    List<Row> of(String siteId);

    /** Whether it goes on; who asks is alone with it to the end of the transaction. */
    @Select("select ended_at is null from bench_test where id = #{id} for update")
    boolean lock(@Param("id") UUID id);

    @Update(
            """
            update bench_test set signed = #{signed}, ended_by = #{account}, ended_at = #{at}, checksum = #{checksum}
            where id = #{id} and ended_at is null
            """)
    int end(UUID id, boolean signed, String account, Instant at, String checksum);

    /** One that is kept already stays as it is: 0 then. */
    @Insert(
            """
            insert into bench_test_result (test, id, step, measured, after_seconds, set_to, instrument, note, measured_by, measured_at)
            values (#{test}, #{row.id}, #{row.step}, #{row.measured}, #{row.afterSeconds}, #{row.setTo}, #{row.instrument},
              #{row.note}, #{row.measuredBy}, #{row.measuredAt})
            on conflict do nothing
            """)
    int addResult(UUID test, ResultRow row);

    @Select(
            """
            select r.id, r.step, r.measured, r.after_seconds, r.set_to, r.instrument, r.note, a.full_name as measured_by, r.measured_at
            from bench_test_result r join account a on a.name = r.measured_by
            where r.test = #{test} order by r.measured_at, r.id
            """)
    List<ResultRow> results(@Param("test") UUID test);

    @Insert(
            """
            insert into bench_test_plugged (test, id, what, plugged_by, plugged_at)
            values (#{test}, #{id}, #{what}, #{account}, #{at}) on conflict do nothing
            """)
    int plug(UUID test, UUID id, String what, String account, Instant at);

    @Update(
            """
            update bench_test_plugged set removed_by = #{account}, removed_at = #{at}
            where test = #{test} and id = #{id} and removed_at is null
            """)
    int unplug(UUID test, UUID id, String account, Instant at);

    @Select(
            """
            select p.id, p.what, b.full_name as plugged_by, p.plugged_at, r.full_name as removed_by, p.removed_at
            from bench_test_plugged p join account b on b.name = p.plugged_by left join account r on r.name = p.removed_by
            where p.test = #{test} order by p.plugged_at, p.id
            """)
    List<PluggedRow> plugged(@Param("test") UUID test);

    /** Names of devices into which something was sent and not to its end. */
    @Select(
            """
            select device from transfer
            where site_id = #{siteId} and ended_at is null and stage not in ('PREPARED', 'CHECKED') order by device
            """)
    List<String> halfWritten(String siteId);
}
