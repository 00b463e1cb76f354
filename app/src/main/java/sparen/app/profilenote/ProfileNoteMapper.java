package sparen.app.profilenote;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Notes of kinds of devices in the database. People come by their full names. */
@Mapper
interface ProfileNoteMapper {
    /** A note; its firmware is null where it holds for all. */
    record Row(UUID id, String profile, String text, String firmware, String notedBy, Instant notedAt) {}

    @Select(
            """
            select n.id, n.profile, n.text, n.firmware, a.full_name as noted_by, n.noted_at
            from profile_note n join account a on a.name = n.noted_by
            where n.withdrawn_at is null order by n.noted_at, n.id
            """)
    List<Row> all();

    /** One that is kept already stays as it is: 0 then. */
    @Insert(
            """
            insert into profile_note (id, profile, text, firmware, noted_by, noted_at)
            values (#{row.id}, #{row.profile}, #{row.text}, #{row.firmware}, #{row.notedBy}, #{row.notedAt}) on conflict do nothing
            """)
    int add(@Param("row") Row row);

    @Update(
            """
            update profile_note set withdrawn_by = #{account}, withdrawn_at = #{at} where id = #{id} and withdrawn_at is null
            """)
    int withdraw(@Param("id") UUID id, @Param("account") String account, @Param("at") Instant at);
}
