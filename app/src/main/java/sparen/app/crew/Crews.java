package sparen.app.crew;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.right.Role;
import sparen.app.web.Refusal;
import sparen.quantity.Bounds;

/** Who sees which sites: a site that is in no crew is for everybody, one that is in some is for their members and administrators. */
@Service
public class Crews {
    private static final int MOST = 1000;

    private final CrewMapper mapper;
    private final AuditLog audit;

    Crews(CrewMapper mapper, AuditLog audit) {
        this.mapper = mapper;
        this.audit = audit;
    }

    /**
     * A crew as it is to be.
     *
     * @param version of the one that it was made from; 0 for a new one
     */
    record NewCrew(String name, int version, List<Crew.Member> members, List<String> sites) {
        NewCrew {
            Bounds.name("name", name);
            members = Bounds.list("members", members, 0, MOST);
            Bounds.unique("members", members.stream().map(Crew.Member::account).toList());
            sites = Bounds.list("sites", sites, 0, 100 * MOST);
        }
    }

    /** Whether somebody may change a site as far as its crews go; empty where it is not there for them. */
    public Optional<Boolean> mayChange(String siteId, Authentication who) {
        return Role.of(who).reaches(Role.ADMINISTRATOR) ? Optional.of(true) : mapper.mayChange(siteId, who.getName());
    }

    /** The sites that are not there for somebody. */
    public Set<String> hiddenFrom(Authentication who) {
        return hiddenFrom(who.getName(), Role.of(who).reaches(Role.ADMINISTRATOR));
    }

    /** The sites that are not there for an account. */
    public Set<String> hiddenFrom(String account, boolean isAdministrator) {
        return isAdministrator
                ? Set.of()
                : mapper.seenBy(account).stream()
                        .filter(one -> one.changes() == null)
                        .map(CrewMapper.Seen::siteId)
                        .collect(Collectors.toUnmodifiableSet());
    }

    /** The sites that somebody sees and may not change, whatever their role. */
    public Set<String> onlySeenBy(Authentication who) {
        return Role.of(who).reaches(Role.ADMINISTRATOR)
                ? Set.of()
                : mapper.seenBy(who.getName()).stream()
                        .filter(one -> Boolean.FALSE.equals(one.changes()))
                        .map(CrewMapper.Seen::siteId)
                        .collect(Collectors.toUnmodifiableSet());
    }

    /** A new site is for the crews of who made it, where they are in some. */
    public void addSite(String siteId, Authentication who) {
        mapper.changedBy(who.getName()).forEach(crew -> mapper.addSite(crew, siteId));
    }

    List<Crew> list() {
        Map<UUID, List<CrewMapper.MemberRow>> members =
                mapper.members().stream().collect(Collectors.groupingBy(CrewMapper.MemberRow::crew));
        Map<UUID, List<CrewMapper.SiteRow>> sites =
                mapper.sites().stream().collect(Collectors.groupingBy(CrewMapper.SiteRow::crew));
        return mapper.list().stream()
                .map(row -> new Crew(
                        row.id(),
                        row.name(),
                        row.version(),
                        members.getOrDefault(row.id(), List.of()).stream()
                                .map(one -> new Crew.Member(one.account(), one.changes()))
                                .toList(),
                        sites.getOrDefault(row.id(), List.of()).stream()
                                .map(CrewMapper.SiteRow::siteId)
                                .toList()))
                .toList();
    }

    @Transactional
    public void make(NewCrew wanted) {
        UUID id = UUID.randomUUID();
        try {
            mapper.insert(id, wanted.name());
        } catch (DuplicateKeyException taken) {
            throw taken(wanted.name());
        }
        fill(id, wanted);
        audit.note(Deed.CREW_MADE, says(wanted));
    }

    @Transactional
    public void change(UUID id, NewCrew wanted) {
        try {
            if (mapper.update(id, wanted.name(), wanted.version()) == 0) {
                throw mapper.name(id).isEmpty()
                        ? Refusal.notFound("The crew")
                        : new Refusal(
                                HttpStatus.CONFLICT,
                                "outdated",
                                "Somebody changed this crew meanwhile. Nothing was saved: look at it as it is now.",
                                Map.of());
            }
        } catch (DuplicateKeyException taken) {
            throw taken(wanted.name());
        }
        mapper.clearMembers(id);
        mapper.clearSites(id);
        fill(id, wanted);
        audit.note(Deed.CREW_CHANGED, says(wanted));
    }

    @Transactional
    public void dissolve(UUID id) {
        String name = mapper.name(id).orElseThrow(() -> Refusal.notFound("The crew"));
        mapper.delete(id);
        audit.note(Deed.CREW_DISSOLVED, name);
    }

    private void fill(UUID id, NewCrew wanted) {
        try {
            wanted.members().forEach(one -> mapper.addMember(id, one.account(), one.changes()));
            wanted.sites().forEach(site -> mapper.addSite(id, site));
        } catch (DataIntegrityViolationException unknown) {
            throw new Refusal(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-field",
                    "A member or a site of this crew is not there any more. Nothing was saved.",
                    Map.of());
        }
    }

    private static String says(NewCrew crew) {
        return crew.name() + ": "
                + crew.members().stream()
                        .map(one -> one.account() + (one.changes() ? "" : " (sees)"))
                        .collect(Collectors.joining(", "))
                + "; sites "
                + String.join(", ", crew.sites());
    }

    private static Refusal taken(String name) {
        return new Refusal(
                HttpStatus.CONFLICT, "name-taken", "There is a crew called \"" + name + "\" already.", Map.of());
    }
}
