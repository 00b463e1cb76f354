package sparen.app.account;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import sparen.quantity.Bounds;

/** Who runs this: one row. */
@Mapper
interface OrganisationMapper {
    /**
     * Who runs this.
     *
     * @param name what it is called
     * @param secondFactorRequired whether everybody has to have a second factor
     */
    record Organisation(String name, boolean secondFactorRequired) {
        public Organisation {
            Bounds.name("name", name);
        }
    }

    @Select("select name, second_factor_required from organisation")
    Organisation get();

    @Update("update organisation set name = #{name}, second_factor_required = #{secondFactorRequired}")
    void put(Organisation organisation);
}
