package sparen.app.weather;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Weather files in the database. */
@Mapper
interface WeatherFileMapper {
    /** What is told of a file without its samples; notes are one a line. */
    record About(
            String id, String name, Instant firstStep, int stepSeconds, int steps, String notes, Instant importedAt) {}

    /** The samples and what belongs to them. */
    record Samples(Instant firstStep, int stepSeconds, String notes, byte[] samples) {}

    @Select(
            """
            select id, name, first_step, step_seconds, steps, notes, imported_at
            from weather_file where site_id = #{siteId} order by imported_at desc, id
            """)
    List<About> list(String siteId);

    @Select(
            """
            select first_step, step_seconds, notes, samples from weather_file
            where site_id = #{siteId} and id = #{id}
            """)
    Optional<Samples> find(String siteId, String id);

    @Insert(
            """
            insert into weather_file (site_id, id, name, first_step, step_seconds, steps, notes, samples, imported_by,
              imported_at)
            values (#{siteId}, #{about.id}, #{about.name}, #{about.firstStep}, #{about.stepSeconds}, #{about.steps},
              #{about.notes}, #{samples}, #{account}, #{about.importedAt})
            on conflict (site_id, id) do nothing
            """)
    void insert(String siteId, About about, byte[] samples, String account);
}
