package sparen.app.bundle;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultType;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.apache.ibatis.session.ResultHandler;

/** Rows of a site as they stand in tables; names of tables and columns come from {@link BundledTable} and the database, never from a bundle. */
@Mapper
interface BundleMapper {
    /** The same instant is written alike wherever the machine stands. */
    @Update("set local time zone 'UTC'")
    void inUniversalTime();

    /** Each row in JSON. */
    @Select("select (to_jsonb(t) - 'site_id')::text from ${table} t where ${where} order by ${order}")
    @ResultType(String.class)
    void rows(
            @Param("table") String table,
            @Param("where") String where,
            @Param("order") String order,
            @Param("site") String site,
            ResultHandler<String> take);

    @Select(
            "select column_name from information_schema.columns where table_schema = 'public' and table_name = #{table} order by ordinal_position")
    List<String> columns(@Param("table") String table);

    /** Adds a row of some columns, in JSON, over which some others lie. */
    @Insert(
            """
            insert into ${table} (${columns}) select ${columns} from jsonb_populate_record(null::${table}, #{row}::jsonb || #{over}::jsonb)
            """)
    void add(
            @Param("table") String table,
            @Param("columns") String columns,
            @Param("row") String row,
            @Param("over") String over);

    @Select("select max(number) from revision where site_id = #{site}")
    Optional<Integer> newest(@Param("site") String site);
}
