package sparen.app.audit;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** The trail in the database, which lets it be added to and read. */
@Mapper
interface AuditMapper {
    @Insert(
            """
            insert into audit (at, account, via, address, deed, site, detail)
            values (#{at}, #{account}, #{via}, #{address}, #{deed}, #{site}, #{detail})
            """)
    void add(Instant at, String account, String via, String address, Deed deed, String site, String detail);

    /** The newest first, older than one of them; of an account or a site, or of all where those are empty. */
    @Select(
            """
            select id, at, account, via, address, deed, site, detail from audit
            where id < #{before} and (#{account} in ('', account)) and (#{site} in ('', site))
            order by id desc limit #{most}
            """)
    List<AuditEntry> list(long before, String account, String site, int most);
}
