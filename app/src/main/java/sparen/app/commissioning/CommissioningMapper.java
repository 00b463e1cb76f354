package sparen.app.commissioning;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Rounds and marks in the database. People come by their full names. */
@Mapper
interface CommissioningMapper {
    /** A visit at which steps are done. */
    record RoundRow(int number, String begunBy, Instant begunAt) {}

    /** That a step was done, or is not after all. */
    record MarkRow(UUID id, String step, boolean done, String measured, String note, String madeBy, Instant madeAt) {}

    @Select(
            """
            select r.number, a.full_name as begun_by, r.begun_at
            from commissioning_round r join account a on a.name = r.begun_by
            where r.site_id = #{siteId} order by r.number desc limit 1
            """)
    Optional<RoundRow> latest(String siteId);

    /** One that is there already stays as it is: 0 then. */
    @Insert(
            """
            insert into commissioning_round (site_id, number, begun_by, begun_at) values (#{siteId}, #{number}, #{account}, #{at})
            on conflict do nothing
            """)
    int begin(String siteId, int number, String account, Instant at);

    @Insert(
            """
            insert into commissioning_mark (site_id, round, id, step, done, measured, note, made_by, made_at)
            values (#{siteId}, #{round}, #{row.id}, #{row.step}, #{row.done}, #{row.measured}, #{row.note}, #{row.madeBy},
              #{row.madeAt})
            on conflict do nothing
            """)
    int mark(String siteId, int round, MarkRow row);

    /** The last mark of each step. */
    @Select(
            """
            select distinct on (m.step) m.id, m.step, m.done, m.measured, m.note, a.full_name as made_by, m.made_at
            from commissioning_mark m join account a on a.name = m.made_by
            where m.site_id = #{siteId} and m.round = #{round} order by m.step, m.made_at desc, m.id
            """)
    List<MarkRow> marks(String siteId, int round);

    /** A photo of a step, without the picture. */
    record PhotoRow(UUID id, String step, String takenBy, Instant takenAt) {}

    /** One that is kept already stays as it is: 0 then. */
    @Insert(
            """
            insert into commissioning_photo (site_id, round, id, step, jpeg, taken_by, taken_at)
            values (#{siteId}, #{round}, #{row.id}, #{row.step}, #{jpeg}, #{row.takenBy}, #{row.takenAt})
            on conflict do nothing
            """)
    int addPhoto(String siteId, int round, PhotoRow row, byte[] jpeg);

    @Select(
            """
            select p.id, p.step, a.full_name as taken_by, p.taken_at
            from commissioning_photo p join account a on a.name = p.taken_by
            where p.site_id = #{siteId} and p.round = #{round} order by p.taken_at, p.id
            """)
    List<PhotoRow> photos(String siteId, int round);

    @Select("select jpeg from commissioning_photo where site_id = #{siteId} and id = #{id}")
    Optional<JpegRow> jpeg(String siteId, UUID id);

    /** The picture of a photo. */
    record JpegRow(byte[] jpeg) {}

    @Delete("delete from commissioning_photo where site_id = #{siteId} and round = #{round} and id = #{id}")
    int removePhoto(String siteId, int round, UUID id);
}
