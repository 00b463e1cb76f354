package sparen.app.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Tokens for scripts. */
@Mapper
interface ApiTokenMapper {
    /** A token as it is kept; never used where it was last used at null. */
    record Row(UUID id, String name, boolean changes, Instant madeAt, Instant expiresAt, Instant lastUsedAt) {}

    /** Whose a token is, and what it can. */
    record Held(String account, String name, boolean changes) {}

    @Select(
            """
            select id, name, changes, made_at, expires_at, last_used_at
            from api_token where account = #{account} order by made_at
            """)
    List<Row> list(String account);

    @Insert(
            """
            insert into api_token (id, account, name, hash, changes, made_at, expires_at)
            values (#{token.id}, #{account}, #{token.name}, #{hash}, #{token.changes}, #{token.madeAt}, #{token.expiresAt})
            """)
    void add(String account, String hash, Row token);

    @Delete("delete from api_token where account = #{account} and id = #{id}")
    int withdraw(String account, UUID id);

    @Select("select account, name, changes from api_token where hash = #{hash} and expires_at > #{now}")
    Optional<Held> find(String hash, Instant now);

    /** Notes a use, unless one was noted since. */
    @Update(
            """
            update api_token set last_used_at = #{now}
            where hash = #{hash} and (last_used_at is null or last_used_at < #{since})
            """)
    void used(String hash, Instant now, Instant since);
}
