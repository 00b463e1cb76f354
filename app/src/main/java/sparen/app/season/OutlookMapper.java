package sparen.app.season;

import java.time.LocalDate;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What was worked out of the coming days, one for each site. */
@Mapper
interface OutlookMapper {
    /** One as it is stored. */
    record Row(String siteId, int revision, LocalDate begins, int days, String workedOut) {}

    /** Keeps one; an older revision worked out late does not take the place of a newer. */
    @Insert(
            """
            insert into outlook (site_id, revision, begins, days, worked_out, cut, cut_is_likely)
            values (#{row.siteId}, #{row.revision}, #{row.begins}, #{row.days}, #{row.workedOut}::jsonb, #{cut}, #{isLikely})
            on conflict (site_id) do update
            set revision = excluded.revision, begins = excluded.begins, days = excluded.days, worked_out = excluded.worked_out,
              cut = excluded.cut, cut_is_likely = excluded.cut_is_likely
            where outlook.revision <= excluded.revision
            """)
    void keep(Row row, int cut, boolean isLikely);

    @Select("select site_id, revision, begins, days, worked_out::text from outlook where site_id = #{siteId}")
    Optional<Row> find(String siteId);
}
