package sparen.app.plan;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

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
            Instant savedAt) {}

    String COLUMNS =
            """
            select site_id, number, parent, schema_version, document::text as document, note,
              account.full_name as author, saved_at
            from revision join account on account.name = revision.author
            """;

    @Select(COLUMNS + "where site_id = #{siteId} order by number desc limit 1")
    Optional<Row> latest(String siteId);

    @Select(COLUMNS + "where site_id = #{siteId} and number = #{number}")
    Optional<Row> find(String siteId, int number);

    @Select(
            """
            select site_id, number, parent, schema_version, '' as document, note, account.full_name as author, saved_at
            from revision join account on account.name = revision.author
            where site_id = #{siteId} order by number desc
            """)
    List<Row> history(String siteId);

    /** Fails with a duplicate key when that number is already there. */
    @Insert(
            """
            insert into revision (site_id, number, parent, schema_version, document, note, author, saved_at)
            values (#{siteId}, #{number}, #{parent}, #{schemaVersion}, #{document}::jsonb, #{note}, #{author}, #{savedAt})
            """)
    void insert(Row row);
}
