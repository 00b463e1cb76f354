package sparen.app.account;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Sessions in the database, which Spring Session keeps. */
@Mapper
interface SessionMapper {
    /** Ids of the sessions of an account that have not run out, the latest used first. */
    @Select(
            """
            select session_id from spring_session where principal_name = #{account} and expiry_time > #{nowMillis}
            order by last_access_time desc, session_id limit #{most}
            """)
    List<String> of(String account, long nowMillis, int most);
}
