package sparen.app.file;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** How the files of sites are laid out, in the database. */
@Mapper
interface FileLayoutMapper {
    /** A layout in JSON, and the headings it is for. */
    record Row(String headings, String layout) {}

    @Select(
            """
            select headings, layout::text as layout from file_layout where site_id = #{siteId} and kind = #{kind}
            """)
    Optional<Row> find(String siteId, String kind);

    @Insert(
            """
            insert into file_layout (site_id, kind, headings, layout, kept_by, kept_at)
            values (#{siteId}, #{kind}, #{row.headings}, #{row.layout}::jsonb, #{account}, #{at})
            on conflict (site_id, kind) do update set headings = excluded.headings, layout = excluded.layout,
              kept_by = excluded.kept_by, kept_at = excluded.kept_at
            """)
    void keep(String siteId, String kind, Row row, String account, Instant at);
}
