package sparen.app.account;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.List;
import org.springframework.security.web.util.matcher.IpAddressMatcher;
import org.springframework.stereotype.Service;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/** The networks in which administrators allow devices to be reached; none at first. */
@Service
public class DeviceNetworks {
    private static final int MOST = 20;
    private static final int LEAST_BITS = 8;

    private final OrganisationMapper organisation;

    DeviceNetworks(OrganisationMapper organisation) {
        this.organisation = organisation;
    }

    /** The address of a device, which is a number: a name could be given to another machine later. */
    public static InetAddress address(String field, String host) {
        Bounds.name(field, host);
        // What has a colon is never looked up as a name, nor are four numbers.
        boolean isNumeric = host.matches("\\d{1,3}(\\.\\d{1,3}){3}") || host.matches("[0-9a-fA-F:.]*:[0-9a-fA-F:.]*");
        if (!isNumeric) {
            throw new InvalidQuantity(field, "\"" + host + "\" is not a numeric address such as 192.168.4.20");
        }
        try {
            return InetAddress.getByName(host);
        } catch (UnknownHostException none) {
            throw new InvalidQuantity(field, "\"" + host + "\" is not a numeric address such as 192.168.4.20");
        }
    }

    /** Allows some networks where none is allowed yet. */
    public void allowAtFirst(String networks) {
        OrganisationMapper.Organisation ours = organisation.get();
        if (ours.deviceNetworks().isEmpty()) {
            organisation.put(new OrganisationMapper.Organisation(
                    ours.name(), ours.secondFactorRequired(), networks, ours.offlineDays()));
        }
    }

    /**
     * Refuses an address in none of the networks.
     *
     * @param field where it was typed
     */
    public void check(String field, String host) {
        InetAddress address = address(field, host);
        List<String> allowed = networks(organisation.get().deviceNetworks());
        if (allowed.stream().noneMatch(one -> new IpAddressMatcher(one).matches(address.getHostAddress()))) {
            throw new InvalidQuantity(
                    field,
                    host + " lies in none of the networks that an administrator has allowed for devices: "
                            + (allowed.isEmpty() ? "there are none" : String.join(", ", allowed)));
        }
    }

    /**
     * Networks as they are typed, with commas between them.
     *
     * @throws InvalidQuantity when one is none, or too wide
     */
    static List<String> networks(String typed) {
        List<String> networks = Arrays.stream(typed.split(","))
                .map(String::strip)
                .filter(one -> !one.isEmpty())
                .toList();
        Bounds.within("deviceNetworks", networks.size(), "networks", 0, MOST);
        for (String network : networks) {
            int slash = network.indexOf('/');
            String bits = slash < 0 ? "" : network.substring(slash + 1);
            if (!bits.matches("[0-9]{1,3}")) {
                throw new InvalidQuantity(
                        "deviceNetworks", "\"" + network + "\" is not a network such as 192.168.4.0/24");
            }
            int longest = Byte.SIZE
                    * address("deviceNetworks", network.substring(0, slash)).getAddress().length;
            Bounds.within("deviceNetworks", Integer.parseInt(bits), "bits", LEAST_BITS, longest);
        }
        return networks;
    }
}
