package sparen.app.plan;

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

/** Revisions in the database. */
@Mapper
public interface RevisionMapper {
    /** A revision as it is stored. */
    record Row(
            String siteId,
            int number,
            Integer parent,
            int schemaVersion,
            String document,
            String note,
            String author,
            Instant savedAt,
            String name,
            String changes,
            UUID request) {}

    /** Unsaved changes as they are stored. */
    record Draft(String siteId, String account, String author, int parent, String document, Instant savedAt) {}

    String COLUMNS =
            """
            select site_id, number, parent, schema_version, document::text as document, note,
              account.full_name as author, saved_at, revision.name, changes, request
            from revision join account on account.name = revision.author
            """;

    @Select(COLUMNS + "where site_id = #{siteId} order by number desc limit 1")
    Optional<Row> latest(String siteId);

    @Select("select max(number) from revision where site_id = #{siteId}")
    Optional<Integer> newest(String siteId);

    /** The one that was made from a certain request. */
    @Select(COLUMNS + "where site_id = #{siteId} and request = #{request}")
    Optional<Row> made(String siteId, @Param("request") UUID request);

    @Select(COLUMNS + "where site_id = #{siteId} and number = #{number}")
    Optional<Row> find(String siteId, int number);

    @Select(
            """
            select site_id, number, parent, schema_version, '' as document, note, account.full_name as author, saved_at, revision.name, changes,
              request
            from revision join account on account.name = revision.author
            where site_id = #{siteId} order by number desc
            """)
    List<Row> history(String siteId);

    /** Fails with a duplicate key when that number is already there. */
    @Insert(
            """
            insert into revision (site_id, number, parent, schema_version, document, note, author, saved_at, changes, request)
            values (#{row.siteId}, #{row.number}, #{row.parent}, #{row.schemaVersion}, #{row.document}::jsonb, #{row.note}, #{row.author}, #{row.savedAt},
              #{row.changes}, #{row.request})
            """)
    void insert(@Param("row") Row row);

    @Update("update revision set name = #{name} where site_id = #{siteId} and number = #{number}")
    int rename(String siteId, int number, String name);

    @Select(
            """
            select site_id, account, account.full_name as author, parent, document::text as document, saved_at
            from draft join account on account.name = draft.account
            where site_id = #{siteId} order by saved_at desc
            """)
    List<Draft> drafts(String siteId);

    @Insert(
            """
            insert into draft (site_id, account, parent, document, saved_at)
            values (#{siteId}, #{account}, #{parent}, #{document}::jsonb, #{savedAt})
            on conflict (site_id, account) do update
              set parent = excluded.parent, document = excluded.document, saved_at = excluded.saved_at
            """)
    void keep(String siteId, String account, int parent, String document, Instant savedAt);

    @Delete("delete from draft where site_id = #{siteId} and account = #{account}")
    void discard(String siteId, String account);
}
