package sparen.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.testng.annotations.Test;

/** The house rules of the application: imports only go down, and no package cycle. */
public class ArchitectureTest {
    private final JavaClasses all = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("sparen");

    @Test
    public void importsOnlyGoDown() {
        noClasses()
                .that()
                .resideOutsideOfPackage("sparen.app..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("sparen.app..", "org.springframework..", "org.apache.ibatis..")
                .check(all);
        noClasses()
                .that()
                .resideOutsideOfPackages("sparen.app..", "sparen.document..", "sparen.standin..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("sparen.document..", "tools.jackson..", "com.fasterxml..")
                .check(all);
    }

    @Test
    public void noPackageCycle() {
        slices().matching("sparen.app.(*)..").should().beFreeOfCycles().check(all);
    }
}
