package sparen.app.site;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Sites in the database. */
@Mapper
interface SiteMapper {
    /** A site as it is stored. */
    record Row(String id, String name, SiteState state, LocalDate benchTest, LocalDate upkeep) {}

    @Select("select id, name, state, bench_test, upkeep from site where state <> 'DELETED' order by name")
    List<Row> list();

    @Select("select count(*) from site where id = #{id} and state <> 'DELETED'")
    int count(String id);

    @Select("select id, name, state, bench_test, upkeep from site where id = #{id}")
    Optional<Row> find(String id);

    @Update("update site set state = #{state} where id = #{id}")
    int setState(String id, SiteState state);

    @Update("update site set bench_test = #{benchTest}, upkeep = #{upkeep} where id = #{id}")
    int setCare(String id, LocalDate benchTest, LocalDate upkeep);

    @Insert("insert into site (id, name) values (#{id}, #{name}) on conflict (id) do nothing")
    int insert(String id, String name);
}
