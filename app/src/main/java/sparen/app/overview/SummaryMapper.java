package sparen.app.overview;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import sparen.app.site.SiteState;

/** Summaries of sites, and the list that is made of them in one question. */
@Mapper
interface SummaryMapper {
    /** That a site is there for an account: it is in no crew, or in one of the account's, or the account sees all. */
    String SEEN =
            """
             (#{seesAll} or not exists (select 1 from crew_site c where c.site_id = s.id)
              or exists (select 1 from crew_site c join crew_member m using (crew)
                         where c.site_id = s.id and m.account = #{account}))
            """;

    /** A summary as it is stored. */
    record Row(
            String siteId,
            int revision,
            String engine,
            String unreadable,
            String plan,
            int dangers,
            int cautions,
            int unsent,
            int drifted,
            LocalDate due,
            String dueKind) {}

    /** A site in the list with all that is told of it; what there is none of is null. */
    record Listed(
            String id,
            String name,
            SiteState state,
            LocalDate benchTest,
            LocalDate upkeep,
            LocalDate due,
            String dueKind,
            String engine,
            String unreadable,
            String plan,
            Integer number,
            Integer parent,
            String note,
            String author,
            Instant savedAt,
            String revisionName,
            String changes,
            String drafts,
            Integer aheadRevision,
            LocalDate aheadBegins,
            Integer aheadDays,
            String workedOut,
            Instant measuredAt,
            String measured,
            int rank,
            long total) {}

    /**
     * What is asked of the list.
     *
     * @param account whose list it is
     * @param seesAll whether crews keep nothing from it
     * @param id of the only one; empty for all
     * @param search part of the name, in small letters
     * @param filter one of {@link Summaries#FILTERS}
     * @param today for what is due
     */
    record Asked(
            String account,
            boolean seesAll,
            String id,
            boolean archived,
            String search,
            String filter,
            LocalDate today,
            int offset,
            int size) {}

    @Insert(
            """
            insert into site_summary (site_id, revision, engine, unreadable, plan, dangers, cautions, unsent, drifted, due, due_kind)
            values (#{siteId}, #{revision}, #{engine}, #{unreadable}, #{plan}::jsonb, #{dangers}, #{cautions}, #{unsent}, #{drifted},
              #{due}, #{dueKind})
            on conflict (site_id) do update set revision = excluded.revision, engine = excluded.engine,
              unreadable = excluded.unreadable, plan = excluded.plan, dangers = excluded.dangers, cautions = excluded.cautions,
              unsent = excluded.unsent, drifted = excluded.drifted, due = excluded.due, due_kind = excluded.due_kind
            where site_summary.revision <= excluded.revision
            """)
    void keep(Row row);

    /** The sites that have no summary, or one of another revision or engine. */
    @Select(
            """
            select s.id from site s left join site_summary y on y.site_id = s.id
            where s.state <> 'DELETED' and (y.engine is distinct from #{engine}
              or y.revision is distinct from (select max(number) from revision r where r.site_id = s.id))
              and exists (select 1 from revision r where r.site_id = s.id)
            """)
    List<String> stale(@Param("engine") String engine);

    /**
     * The neediest first; of those that need as much by name. How much one needs is also what the page says in words. What it goes by is
     * kept at each site by the database (V22): only a day that has passed, and drafts, are looked at here.
     */
    @Select(
            """
            with ranked as (
              select s.id, s.told, lower(s.name) as sorted, least(s.upkeep, s.due) as upkeep, f.has_drafts,
                case
                  when s.need < 0 then 1
                  else greatest(s.need, case when least(s.upkeep, s.due) < #{today} then 2 when f.has_drafts then 1 else 0 end)
                end as rank
              from site s
              cross join lateral (select s.id in (select d.site_id from draft d) as has_drafts) f
              where #{id} in ('', s.id)
                and (#{id} <> '' or s.state = case when #{archived} then 'ARCHIVED' else 'ACTIVE' end)
                and (#{search} = '' or position(#{search} in lower(s.name)) > 0)
                and """
                    + SEEN
                    + """
            ), page as (
              select id, sorted, rank, count(*) over () as total from ranked
              where case #{filter}
                  when 'findings' then told & 1 > 0
                  when 'drafts' then has_drafts
                  when 'unsent' then told & 2 > 0
                  when 'drifted' then told & 4 > 0
                  when 'upkeep' then upkeep <= #{today}
                  else true
                end
              order by rank desc, sorted, id offset #{offset} limit #{size}
            )
            select p.id, s.name, s.state, s.bench_test, s.upkeep, y.due, y.due_kind, y.engine, y.unreadable, y.plan::text as plan,
              r.number, r.parent, r.note, a.full_name as author, r.saved_at, r.name as revision_name, r.changes,
              (select string_agg(b.full_name, E'\\n' order by d.saved_at desc)
               from draft d join account b on b.name = d.account where d.site_id = p.id) as drafts,
              o.revision as ahead_revision, o.begins as ahead_begins, o.days as ahead_days, o.worked_out::text as worked_out,
              n.at as measured_at, n.numbers as measured,
              p.rank, p.total
            from page p
            join site s on s.id = p.id
            left join site_summary y on y.site_id = p.id
            left join revision r on r.site_id = p.id and r.number = y.revision
            left join account a on a.name = r.author
            left join outlook o on o.site_id = p.id
            left join lateral (
              select max(m.at) as at, string_agg(m.numbers::text, E'\\n' order by m.at) as numbers
              from device_connection d join measurement m on m.site_id = d.site_id and m.device = d.device
              where d.site_id = p.id and m.at > now() - interval '1 minute'
            ) n on true
            order by p.rank desc, p.sorted, p.id
            """)
    List<Listed> list(Asked asked);

    /** How many that somebody sees are put away. */
    @Select("""
            select count(*) from site s
            where s.state = 'ARCHIVED' and """ + SEEN)
    int countArchived(String account, boolean seesAll);

    /** Names of all that are looked after, as somebody sees them. */
    record Named(String id, String name) {}

    @Select("select id, name from site where state = 'ACTIVE' order by lower(name), id")
    List<Named> names();
}
