package sparen.app.site;

import java.util.List;
import org.springframework.stereotype.Service;
import sparen.app.web.Refusal;

/** The sites. */
@Service
public class SiteService {
    private final SiteMapper mapper;

    SiteService(SiteMapper mapper) {
        this.mapper = mapper;
    }

    /** Refuses the id of a site that is not there. */
    public void mustExist(String siteId) {
        if (mapper.count(siteId) == 0) {
            throw Refusal.notFound("The site \"" + siteId + "\"");
        }
    }

    /** Adds a site; one that is there already stays as it is. */
    public void add(String siteId, String name) {
        mapper.insert(siteId, name);
    }

    /** All of them, by name. */
    public List<Site> list() {
        return mapper.list();
    }
}
