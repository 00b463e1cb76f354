package sparen.app.account;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import sparen.quantity.Bounds;

/** Who runs this: one row. */
@Mapper
interface OrganisationMapper {
    int MOST_OFFLINE_DAYS = 90;

    /**
     * Who runs this.
     *
     * @param name what it is called
     * @param secondFactorRequired whether everybody has to have a second factor
     * @param deviceNetworks in which devices may be reached, such as {@code 192.168.4.0/24}, with commas between them; empty for none
     * @param offlineDays how long sites that were taken along open without a network, since the last time there was one (d), 0 to 90
     */
    record Organisation(String name, boolean secondFactorRequired, String deviceNetworks, int offlineDays) {
        public Organisation {
            Bounds.name("name", name);
            Bounds.present("deviceNetworks", deviceNetworks);
            Bounds.within("offlineDays", offlineDays, "d", 0, MOST_OFFLINE_DAYS);
            deviceNetworks = String.join(", ", DeviceNetworks.networks(deviceNetworks));
        }
    }

    @Select("select name, second_factor_required, device_networks, offline_days from organisation")
    Organisation get();

    @Update(
            """
            update organisation set name = #{name}, second_factor_required = #{secondFactorRequired}, device_networks = #{deviceNetworks},
              offline_days = #{offlineDays}
            """)
    void put(Organisation organisation);
}
