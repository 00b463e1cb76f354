package sparen.app.transfer;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import sparen.app.transfer.Transfer.Stage;

/** Transfers and leases in the database. */
@Mapper
interface TransferMapper {
    /** A transfer; its content is JSON. */
    record Row(
            UUID id,
            String siteId,
            String device,
            int revision,
            String begunBy,
            Instant begunAt,
            Stage stage,
            boolean rollsBack,
            int written,
            String problem,
            String content,
            Instant endedAt) {}

    String COLUMNS =
            """
            select id, site_id, device, revision, begun_by, begun_at, stage, rolls_back, written, problem, content::text as content,
              ended_at
            from transfer
            """;

    @Insert(
            """
            insert into transfer (id, site_id, device, revision, begun_by, begun_at, stage, content)
            values (#{row.id}, #{row.siteId}, #{row.device}, #{row.revision}, #{row.begunBy}, #{row.begunAt}, #{row.stage}, #{row.content}::jsonb)
            """)
    void insert(@Param("row") Row row);

    @Select(COLUMNS + "where site_id = #{siteId} and id = #{id}")
    Optional<Row> find(String siteId, UUID id);

    /** Of each device the latest that was not left. */
    @Select(
            """
            select distinct on (device) id, site_id, device, revision, begun_by, begun_at, stage, rolls_back, written, problem,
              content::text as content, ended_at
            from transfer where site_id = #{siteId} and stage <> 'LEFT'
            order by device, ended_at is null desc, begun_at desc
            """)
    List<Row> latest(String siteId);

    /** While nothing has been written; 0 where somebody has begun to meanwhile. */
    @Update(
            """
            update transfer set stage = #{stage}
            where id = #{id} and ended_at is null and stage in ('PREPARED', 'CHECKED')
            """)
    int look(UUID id, Stage stage);

    /** Ends it where nothing has been written; 0 where somebody has begun to meanwhile. */
    @Update(
            """
            update transfer set stage = 'LEFT', ended_at = #{at}
            where id = #{id} and ended_at is null and stage in ('PREPARED', 'CHECKED')
            """)
    int leave(UUID id, Instant at);

    /** Begins to write, or goes on; 0 where display and meter do not agree any more, or it has ended. */
    @Update(
            """
            update transfer set stage = #{stage}, rolls_back = #{rollsBack}, written = 0, problem = null
            where id = #{id} and ended_at is null and stage <> 'PREPARED'
            """)
    int enter(UUID id, Stage stage, boolean rollsBack);

    @Update("update transfer set stage = #{stage}, written = #{written} where id = #{id}")
    void progress(UUID id, Stage stage, int written);

    @Update("update transfer set problem = #{problem} where id = #{id} and ended_at is null")
    void stop(UUID id, String problem);

    @Update(
            "update transfer set stage = #{stage}, problem = null, ended_at = #{at} where id = #{id} and ended_at is null")
    int end(UUID id, Stage stage, Instant at);

    /** Takes an address for a while, unless somebody else has it: 0 then. */
    @Insert(
            """
            insert into device_lease (address, transfer, holder, until)
            values (#{address}, #{transfer}, #{holder}, now() + interval '20 seconds')
            on conflict (address) do update
            set transfer = excluded.transfer, holder = excluded.holder, until = excluded.until
            where device_lease.until < now()
            """)
    int lease(String address, UUID transfer, UUID holder);

    /** Keeps it; 0 where it was lost to somebody else. */
    @Update(
            "update device_lease set until = now() + interval '20 seconds' where address = #{address} and holder = #{holder}")
    int renew(String address, UUID holder);

    @Delete("delete from device_lease where address = #{address} and holder = #{holder}")
    void release(String address, UUID holder);

    /** Whether somebody is writing it right now. */
    @Select("select exists (select from device_lease where transfer = #{transfer} and until > now())")
    boolean isRunning(@Param("transfer") UUID transfer);
}
