package sparen.app.crew;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;

/** Crews as administrators set them up. Each answer is all of them as they are now. */
@RestController
@RequestMapping("/api/crews")
class CrewsController {
    private final Crews crews;

    CrewsController(Crews crews) {
        this.crews = crews;
    }

    /** All crews. */
    @GetMapping
    @Allowed(Role.ADMINISTRATOR)
    List<Crew> list() {
        return crews.list();
    }

    /** Makes a crew. */
    @PostMapping
    @Allowed(Role.ADMINISTRATOR)
    @ResponseStatus(HttpStatus.CREATED)
    List<Crew> make(@RequestBody Crews.NewCrew wanted) {
        crews.make(wanted);
        return crews.list();
    }

    /** Changes a crew: its name, its people, its sites. */
    @PutMapping("/{crew}")
    @Allowed(Role.ADMINISTRATOR)
    List<Crew> change(@PathVariable UUID crew, @RequestBody Crews.NewCrew wanted) {
        crews.change(crew, wanted);
        return crews.list();
    }

    /** Its sites are for everybody again, save those of other crews. */
    @DeleteMapping("/{crew}")
    @Allowed(Role.ADMINISTRATOR)
    List<Crew> dissolve(@PathVariable UUID crew) {
        crews.dissolve(crew);
        return crews.list();
    }
}
