package sparen.app.site;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Sites in the database. */
@Mapper
interface SiteMapper {
    @Select("select id, name, state from site where state <> 'DELETED' order by name")
    List<Site> list();

    @Select("select count(*) from site where id = #{id} and state <> 'DELETED'")
    int count(String id);

    @Select("select id, name, state from site where id = #{id}")
    Optional<Site> find(String id);

    @Update("update site set state = #{state} where id = #{id}")
    int setState(String id, SiteState state);

    @Insert("insert into site (id, name) values (#{id}, #{name}) on conflict (id) do nothing")
    int insert(String id, String name);
}
