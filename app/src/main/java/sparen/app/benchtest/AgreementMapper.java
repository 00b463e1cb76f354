package sparen.app.benchtest;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What owners have agreed to, in the database. People come by their full names. */
@Mapper
interface AgreementMapper {
    /** That an owner agreed to a revision. */
    record Row(int revision, String agreedBy, LocalDate agreedOn, String notedBy, Instant notedAt) {}

    /** The last one at or before a revision. */
    @Select(
            """
            select g.revision, g.agreed_by, g.agreed_on, a.full_name as noted_by, g.noted_at
            from revision_agreement g join account a on a.name = g.noted_by
            where g.site_id = #{siteId} and g.revision <= #{revision} order by g.revision desc limit 1
            """)
    Optional<Row> last(String siteId, int revision);

    /** The newest revision before one that somebody signed the test of: it was lived with. */
    @Select("select max(revision) from bench_test where site_id = #{siteId} and signed and revision < #{revision}")
    Integer lastSigned(String siteId, int revision);

    @Insert(
            """
            insert into revision_agreement (site_id, revision, agreed_by, agreed_on, noted_by, noted_at)
            values (#{siteId}, #{row.revision}, #{row.agreedBy}, #{row.agreedOn}, #{row.notedBy}, #{row.notedAt})
            on conflict (site_id, revision) do update set agreed_by = excluded.agreed_by, agreed_on = excluded.agreed_on,
              noted_by = excluded.noted_by, noted_at = excluded.noted_at
            """)
    void put(String siteId, Row row);

    @Delete("delete from revision_agreement where site_id = #{siteId} and revision = #{revision}")
    int remove(String siteId, int revision);
}
