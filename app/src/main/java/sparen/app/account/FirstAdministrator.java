package sparen.app.account;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.stereotype.Component;

/** Where nobody is there yet, a link for the first administrator: in a file that only its user reads, and in no log. */
@Component
@ConditionalOnExpression("!'${sparen.first-link:}'.isEmpty()")
class FirstAdministrator implements ApplicationRunner {
    private final OneTimeLinks links;
    private final Path file;

    FirstAdministrator(OneTimeLinks links, @Value("${sparen.first-link}") Path file) {
        this.links = links;
        this.file = file;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        Optional<OneTimeLinks.NewLink> link = links.makeFirst();
        if (link.isPresent()) {
            Files.deleteIfExists(file);
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
            Files.writeString(file, link.get().path() + "\n");
        }
    }
}
