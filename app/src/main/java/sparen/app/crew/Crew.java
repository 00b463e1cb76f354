package sparen.app.crew;

import java.util.List;
import java.util.UUID;

/**
 * Some people and the sites that they look after together.
 *
 * @param id its name in addresses
 * @param name what it is called
 * @param version goes up with every change
 * @param members its people
 * @param sites their ids
 */
record Crew(UUID id, String name, int version, List<Member> members, List<String> sites) {
    /**
     * One of its people.
     *
     * @param account by name
     * @param changes whether, where the role allows it, they change its sites too, and do not only see them
     */
    record Member(String account, boolean changes) {}
}
