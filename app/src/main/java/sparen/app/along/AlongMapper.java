package sparen.app.along;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Browsers that took something along, and what was left on them. */
@Mapper
interface AlongMapper {
    /** A browser of an account that took something along. */
    record Held(UUID id, String account, boolean active) {}

    /** A piece of work that was never sent; without what it is in a list. */
    record Row(UUID id, String account, Instant leftAt, String says, String work) {}

    @Insert(
            """
            insert into taken_along (id, account, hash, made_at, contact_at) values (#{id}, #{account}, #{hash}, #{at}, #{at})
            """)
    void add(@Param("id") UUID id, String account, String hash, Instant at);

    /** Forgets all but the newest of an account, and all that were not heard of since. */
    @Delete(
            """
            delete from taken_along where account = #{account} and (contact_at < #{since} or id not in (
              select id from taken_along where account = #{account} order by made_at desc limit #{most}))
            """)
    void forget(String account, Instant since, int most);

    @Select(
            """
            select t.id, t.account, a.active from taken_along t join account a on a.name = t.account where t.hash = #{hash}
            """)
    Optional<Held> find(String hash);

    @Update("update taken_along set contact_at = #{at} where id = #{id}")
    void contact(@Param("id") UUID id, Instant at);

    @Select("select count(*) from left_work where taken_along = #{along}")
    int countLeft(@Param("along") UUID along);

    /** One that is kept already stays as it is: 0 then. */
    @Insert(
            """
            insert into left_work (id, account, taken_along, left_at, says, work)
            values (#{row.id}, #{row.account}, #{along}, #{row.leftAt}, #{row.says}, #{row.work}) on conflict do nothing
            """)
    int leave(@Param("along") UUID along, @Param("row") Row row);

    @Select("select id, account, left_at, says, '' as work from left_work order by left_at desc, id")
    List<Row> left();

    @Select("select id, account, left_at, says, work from left_work where id = #{id}")
    Optional<Row> one(@Param("id") UUID id);

    @Delete("delete from left_work where id = #{id}")
    int remove(@Param("id") UUID id);
}
