package sparen.app.site;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Sites in the database. */
@Mapper
interface SiteMapper {
    @Select("select id, name from site order by name")
    List<Site> list();

    @Select("select count(*) from site where id = #{id}")
    int count(String id);

    @Insert("insert into site (id, name) values (#{id}, #{name}) on conflict (id) do nothing")
    void insert(String id, String name);
}
