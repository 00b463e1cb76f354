package sparen.app.profile;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Imported profiles in the database. */
@Mapper
interface ProfileMapper {
    /** What is told of a profile without its samples. */
    record About(
            String id,
            String name,
            Instant startsAt,
            int lines,
            double spanSeconds,
            double meanWatts,
            double highestWatts,
            Instant importedAt) {}

    /** The samples and what belongs to them. */
    record Samples(Instant startsAt, double spanSeconds, byte[] samples) {}

    @Select(
            """
            select id, name, starts_at, lines, span_seconds, mean_watts, highest_watts, imported_at
            from consumption_profile where site_id = #{siteId} order by imported_at desc, id
            """)
    List<About> list(String siteId);

    @Insert(
            """
            insert into consumption_profile (site_id, id, name, starts_at, lines, span_seconds, mean_watts, highest_watts,
              samples, imported_by, imported_at)
            select #{to}, id, name, starts_at, lines, span_seconds, mean_watts, highest_watts, samples, imported_by,
              imported_at
            from consumption_profile where site_id = #{from}
            """)
    void copy(String from, String to);

    @Select(
            """
            select starts_at, span_seconds, samples
            from consumption_profile where site_id = #{siteId} and id = #{id}
            """)
    Optional<Samples> find(String siteId, String id);

    @Insert(
            """
            insert into consumption_profile (site_id, id, name, starts_at, lines, span_seconds, mean_watts, highest_watts,
              samples, imported_by, imported_at)
            values (#{siteId}, #{about.id}, #{about.name}, #{about.startsAt}, #{about.lines}, #{about.spanSeconds},
              #{about.meanWatts}, #{about.highestWatts}, #{samples}, #{account}, #{about.importedAt})
            on conflict (site_id, id) do nothing
            """)
    void insert(String siteId, About about, byte[] samples, String account);
}
