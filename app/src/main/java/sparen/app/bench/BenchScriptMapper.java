package sparen.app.bench;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Scripts of the bench in the database. */
@Mapper
interface BenchScriptMapper {
    /** A script; turns are JSON. */
    record Stored(String name, boolean live, double seconds, String turns, String author, Instant savedAt) {}

    @Select(
            """
            select name, live, seconds, turns::text as turns, author, saved_at from bench_script
            where site_id = #{siteId} order by saved_at desc, name
            """)
    List<Stored> list(String siteId);

    /** One of the same name gives way. */
    @Insert(
            """
            insert into bench_script (site_id, name, live, seconds, turns, author, saved_at)
            values (#{siteId}, #{script.name}, #{script.live}, #{script.seconds}, #{script.turns}::jsonb,
              #{script.author}, #{script.savedAt})
            on conflict (site_id, name) do update set live = excluded.live, seconds = excluded.seconds,
              turns = excluded.turns, author = excluded.author, saved_at = excluded.saved_at
            """)
    void save(String siteId, Stored script);

    @Delete("delete from bench_script where site_id = #{siteId} and name = #{name}")
    int remove(String siteId, String name);
}
