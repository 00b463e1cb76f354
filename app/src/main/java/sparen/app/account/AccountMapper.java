package sparen.app.account;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import sparen.app.right.Role;

/** Accounts in the database. */
@Mapper
interface AccountMapper {
    String COLUMNS = "name, full_name, password_hash, role, writes_to_devices, active, epoch, second_factor";

    @Select("select " + COLUMNS + " from account where name = #{name}")
    Optional<Account> find(String name);

    @Select("select " + COLUMNS + " from account order by name")
    List<Account> list();

    @Insert(
            """
            insert into account (name, full_name, password_hash, role, writes_to_devices)
            values (#{name}, #{fullName}, #{passwordHash}, #{role}, #{writesToDevices})
            on conflict (name) do nothing
            """)
    int insert(String name, String fullName, String passwordHash, Role role, boolean writesToDevices);

    @Update("update account set password_hash = #{passwordHash}, epoch = epoch + 1 where name = #{name}")
    int setPassword(String name, String passwordHash);

    @Update(
            """
            update account set full_name = #{fullName}, role = #{role}, writes_to_devices = #{writesToDevices}, active = #{active},
              epoch = epoch + case when (role, writes_to_devices, active) = (#{role}, #{writesToDevices}, #{active}) then 0 else 1 end
            where name = #{name}
            """)
    int change(String name, String fullName, Role role, boolean writesToDevices, boolean active);

    @Update("update account set epoch = epoch + 1 where name = #{name}")
    int endSessions(String name);

    @Update(
            """
            update account set second_factor = #{secret},
              epoch = epoch + case when #{endsSessions} then 1 else 0 end
            where name = #{name}
            """)
    int setSecondFactor(String name, String secret, boolean endsSessions);

    /** Keeps it sealed, if it is still what it was. */
    @Update("update account set second_factor = #{sealed} where name = #{name} and second_factor = #{open}")
    void sealSecondFactor(String name, String open, String sealed);

    /** Takes a step of time as used; 0 where it was already, or a later one. */
    @Update("update account set second_factor_step = #{step} where name = #{name} and second_factor_step < #{step}")
    int useStep(String name, long step);

    @Delete("delete from recovery_code where account = #{account}")
    void forgetRecoveryCodes(String account);

    @Insert("insert into recovery_code (account, hash) values (#{account}, #{hash})")
    void addRecoveryCode(String account, String hash);

    /** Takes one as used; 0 where there is none. */
    @Delete("delete from recovery_code where account = #{account} and hash = #{hash}")
    int useRecoveryCode(String account, String hash);

    @Select("select count(*) from recovery_code where account = #{account}")
    int countRecoveryCodes(String account);

    /** Names of those administrators who can sign in; who asks is alone with them to the end of the transaction. */
    @Select("select name from account where role = 'ADMINISTRATOR' and active order by name for update")
    List<String> administrators();
}
