package sparen.app.logger;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Files of loggers in the database. */
@Mapper
public interface LoggerFileMapper {
    /** What is told of a file without its samples; columns and contacts are separated by commas, notes one a line. */
    record About(
            String id,
            String name,
            Instant firstAt,
            Instant lastAt,
            int lines,
            String columns,
            String contacts,
            String notes,
            Instant importedAt) {}

    /** The samples and what they are. */
    record Samples(String columns, String contacts, String notes, byte[] samples) {}

    @Select(
            """
            select id, name, first_at, last_at, lines, columns, contacts, notes, imported_at
            from logger_file where site_id = #{siteId} order by first_at, id
            """)
    List<About> list(String siteId);

    @Select(
            """
            select columns, contacts, notes, samples from logger_file where site_id = #{siteId} order by first_at, id
            """)
    List<Samples> samples(String siteId);

    /** One that is there already stays as it is: 0 then. */
    @Insert(
            """
            insert into logger_file (site_id, id, name, first_at, last_at, lines, columns, contacts, notes, samples,
              imported_by, imported_at)
            values (#{siteId}, #{about.id}, #{about.name}, #{about.firstAt}, #{about.lastAt}, #{about.lines}, #{about.columns},
              #{about.contacts}, #{about.notes}, #{samples}, #{account}, #{about.importedAt})
            on conflict (site_id, id) do nothing
            """)
    int insert(String siteId, About about, byte[] samples, String account);

    @Delete("delete from logger_file where site_id = #{siteId} and id = #{id}")
    int remove(String siteId, String id);
}
