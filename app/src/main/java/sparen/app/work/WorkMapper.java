package sparen.app.work;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Long work in the database. */
@Mapper
interface WorkMapper {
    String COLUMNS =
            """
            id, site_id, kind, account, request::text as request, upper(state) as state, cancel_wanted, progress,
            partial::text as partial, result::text as result, message, node, created_at, changed_at
            """;

    @Insert(
            """
            insert into work (id, site_id, kind, account, request, state, created_at, changed_at)
            values (#{id}, #{siteId}, #{kind}, #{account}, #{request}::jsonb, 'waiting', #{at}, #{at})
            """)
    void insert(String id, String siteId, String kind, String account, String request, Instant at);

    @Select("select " + COLUMNS + " from work where site_id = #{siteId} and id = #{id}")
    Optional<Work> find(String siteId, String id);

    @Select(
            """
            select id, site_id, kind, account, request::text as request, upper(state) as state, cancel_wanted, progress,
              null as partial, null as result, message, node, created_at, changed_at
            from work where site_id = #{siteId} and id = #{id}
            """)
    Optional<Work> asked(String siteId, String id);

    @Select("select " + COLUMNS + " from work where id = #{id}")
    Optional<Work> byId(String id);

    /** The latest, without what was asked and what came of it. */
    @Select(
            """
            select id, site_id, kind, account, '' as request, upper(state) as state, cancel_wanted, progress,
              null as partial, null as result, message, node, created_at, changed_at
            from work where site_id = #{siteId} order by created_at desc limit #{most}
            """)
    List<Work> latest(String siteId, int most);

    /** Takes it for a node; 0 where it is over. */
    @Update(
            """
            update work set state = 'running', node = #{node}, changed_at = #{at}
            where id = #{id} and state in ('waiting', 'running')
            """)
    int begin(String id, String node, Instant at);

    /** How much an account has under way besides. */
    @Select(
            """
            select count(*) from work
            where account = #{account} and id <> #{id} and state in ('waiting', 'running')
            """)
    int unfinishedBefore(String account, String id);

    /** How many pieces of work go before it, any of whose parts do. */
    @Select(
            """
            with queue as (
              select split_part(task_instance, '/', 1) as id, bool_or(picked) as picked, max(priority) as priority,
                min(execution_time) as at
              from scheduled_tasks where task_name = 'work' group by 1)
            select count(*) from queue other, queue mine
            where mine.id = #{id} and other.id <> mine.id
              and (other.picked or other.priority > mine.priority
                or other.priority = mine.priority and other.at < mine.at)
            """)
    int countBefore(String id);

    /** Keeps what came of a part; one that was done already stays as it is. */
    @Insert(
            """
            insert into work_part (work_id, part, node, result) values (#{id}, #{part}, #{node}, #{result}::jsonb)
            on conflict do nothing
            """)
    void keepPart(String id, int part, String node, String result);

    @Select("select exists (select 1 from work_part where work_id = #{id} and part = #{part})")
    boolean hasPart(String id, int part);

    @Select("select count(*) from work_part where work_id = #{id}")
    int countParts(String id);

    /** What came of the parts that are done, in their order. */
    @Select("select result::text from work_part where work_id = #{id} order by part")
    List<String> parts(String id);

    /**
     * Notes how far it is; a partial result of null leaves the one that is there. Where several nodes are at it the furthest counts.
     */
    @Update(
            """
            update work set progress = greatest(progress, #{progress}),
              partial = coalesce(#{partial}::jsonb, partial), changed_at = #{at}
            where id = #{id} and state = 'running'
            """)
    void progress(String id, double progress, String partial, Instant at);

    @Select("select cancel_wanted from work where id = #{id}")
    Optional<Boolean> cancelWanted(String id);

    @Update(
            """
            update work set state = #{state}, result = #{result}::jsonb, message = #{message}, changed_at = #{at},
              progress = case when #{state} = 'done' then 1 else progress end
            where id = #{id} and state in ('waiting', 'running')
            """)
    void end(String id, String state, String result, String message, Instant at);

    @Update(
            """
            update work set cancel_wanted = true, changed_at = #{at},
              state = case when state = 'waiting' then 'cancelled' else state end
            where site_id = #{siteId} and id = #{id} and state in ('waiting', 'running')
            """)
    void cancel(String siteId, String id, Instant at);

    /**
     * Only the latest that an account asked for at a site are kept, none of before a day, and what is not over: nobody pushes out what
     * another looks at.
     */
    @Delete(
            """
            delete from work where site_id = #{siteId} and state not in ('waiting', 'running')
              and (changed_at < #{oldest} or account = #{account} and id not in (
                select id from work where site_id = #{siteId} and account = #{account}
                order by created_at desc limit #{most}))
            """)
    void prune(String siteId, String account, int most, Instant oldest);
}
