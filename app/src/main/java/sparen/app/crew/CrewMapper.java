package sparen.app.crew;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Crews in the database. */
@Mapper
interface CrewMapper {
    /** A crew without what it is of. */
    record Row(UUID id, String name, int version) {}

    /** Somebody in a crew. */
    record MemberRow(UUID crew, String account, boolean changes) {}

    /** A site in a crew. */
    record SiteRow(UUID crew, String siteId) {}

    @Select("select id, name, version from crew order by name")
    List<Row> list();

    @Select("select crew, account, changes from crew_member order by account")
    List<MemberRow> members();

    @Select("select crew, site_id from crew_site order by site_id")
    List<SiteRow> sites();

    @Insert("insert into crew (id, name) values (#{id}, #{name})")
    void insert(UUID id, String name);

    @Update("update crew set name = #{name}, version = version + 1 where id = #{id} and version = #{version}")
    int update(UUID id, String name, int version);

    @Select("select name from crew where id = #{id}")
    Optional<String> name(@Param("id") UUID id);

    @Delete("delete from crew where id = #{id}")
    int delete(@Param("id") UUID id);

    @Delete("delete from crew_member where crew = #{crew}")
    void clearMembers(@Param("crew") UUID crew);

    @Insert("insert into crew_member (crew, account, changes) values (#{crew}, #{account}, #{changes})")
    void addMember(UUID crew, String account, boolean changes);

    @Delete("delete from crew_site where crew = #{crew}")
    void clearSites(@Param("crew") UUID crew);

    @Insert("insert into crew_site (crew, site_id) values (#{crew}, #{siteId}) on conflict do nothing")
    void addSite(UUID crew, String siteId);

    /** The crews of somebody who may change their sites. */
    @Select("select crew from crew_member where account = #{account} and changes")
    List<UUID> changedBy(String account);

    /** Whether somebody may change a site as far as its crews go; empty where they do not even see it. */
    @Select(
            """
            select case
              when not exists (select 1 from crew_site where site_id = #{siteId}) then true
              else (select bool_or(changes) from crew_site join crew_member using (crew)
                    where site_id = #{siteId} and account = #{account})
            end
            """)
    Optional<Boolean> mayChange(String siteId, String account);

    /** The sites of crews, with whether somebody may change each; null where they do not see it. */
    @Select(
            """
            select s.site_id as site_id, bool_or(m.changes) as changes
            from crew_site s left join crew_member m on m.crew = s.crew and m.account = #{account}
            group by s.site_id
            """)
    List<Seen> seenBy(String account);

    /** A site of a crew as somebody sees it. */
    record Seen(String siteId, Boolean changes) {}
}
