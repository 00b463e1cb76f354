package sparen.app.account;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Failed sign-ins in the database. */
@Mapper
interface SignInFailureMapper {
    @Insert("insert into sign_in_failure (account, address, at) values (#{account}, #{address}, #{at})")
    void addFailure(String account, String address, Instant at);

    @Select(
            "select count(*) from sign_in_failure where account = #{account} and address = #{address} and at > #{since}")
    int countFailures(String account, String address, Instant since);

    @Select("select count(*) from sign_in_failure where address = #{address} and at > #{since}")
    int countFailuresFrom(String address, Instant since);

    @Select("select count(*) from sign_in_failure where account = #{account} and at > #{since}")
    int countFailuresOf(String account, Instant since);

    /** Waits until nobody else counts what is from or for the same, to the end of the transaction. */
    @Select("select pg_advisory_xact_lock(hashtextextended(#{what}, 0)) is null")
    boolean inTurn(String what);

    @Delete("delete from sign_in_failure where account = #{account} and address = #{address} or at <= #{before}")
    void forgetFailures(String account, String address, Instant before);
}
