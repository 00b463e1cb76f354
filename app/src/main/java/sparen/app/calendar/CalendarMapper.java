package sparen.app.calendar;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Feeds of calendars in the database: of each address only a hash. */
@Mapper
interface CalendarMapper {
    /** Whose feed it is; its site is null where it is of all sites. */
    record Feed(String account, String siteId, boolean isAdministrator) {}

    /** Absent where nobody has this address any more, or whose it was may not sign in any more. */
    @Select(
            """
            select f.account, f.site_id, a.role = 'ADMINISTRATOR' as is_administrator
            from calendar_feed f join account a on a.name = f.account
            where f.token_hash = #{hash} and a.active
            """)
    Optional<Feed> find(String hash);

    /** A feed as its owner sees it; its site is null where it is of all sites. */
    record Kept(String tokenHash, String siteId, Instant madeAt) {}

    @Select("select token_hash, site_id, made_at from calendar_feed where account = #{account} order by made_at")
    List<Kept> of(String account);

    @Insert(
            """
            insert into calendar_feed (token_hash, account, site_id, made_at) values (#{hash}, #{account}, #{siteId}, #{at})
            """)
    void add(String hash, String account, String siteId, Instant at);

    @Delete("delete from calendar_feed where account = #{account} and token_hash = #{hash}")
    int remove(String account, String hash);
}
