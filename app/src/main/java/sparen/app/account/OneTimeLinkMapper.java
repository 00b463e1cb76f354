package sparen.app.account;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Links to set a password with. */
@Mapper
interface OneTimeLinkMapper {
    /** A link that still holds; of nobody yet for the first administrator. */
    record Row(String hash, String account) {}

    @Delete("delete from one_time_link where account is not distinct from #{account} or expires_at <= #{now}")
    void forget(String account, Instant now);

    @Insert("insert into one_time_link (hash, account, expires_at) values (#{hash}, #{account}, #{expiresAt})")
    void add(String hash, String account, Instant expiresAt);

    @Select("select hash, account from one_time_link where hash = #{hash} and expires_at > #{now}")
    Optional<Row> find(String hash, Instant now);

    @Delete("delete from one_time_link where hash = #{hash}")
    int use(String hash);
}
