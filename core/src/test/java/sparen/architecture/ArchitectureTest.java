package sparen.architecture;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.time.Instant;
import java.util.Map;
import org.testng.annotations.Test;
import sparen.quantity.Fields;

/** The house rules of the core. */
public class ArchitectureTest {
    private final JavaClasses core = new ClassFileImporter()
            .importUrl(Fields.class.getProtectionDomain().getCodeSource().getLocation());

    @Test
    public void coreKnowsNoFrameworkNoJsonNoSqlAndNoClock() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "sparen..",
                        "java.lang..",
                        "java.util..",
                        "java.time..",
                        "java.math..",
                        "java.io..",
                        "java.nio",
                        "java.nio.charset..",
                        "org.hipparchus..",
                        "net.e175.klaus..",
                        "de.siegmar.fastcsv..")
                .check(core);
        noClasses().should().callMethod(Instant.class, "now").check(core);
        noClasses().should().callMethod(System.class, "nanoTime").check(core);
        noClasses().should().callMethod(System.class, "currentTimeMillis").check(core);
        noClasses()
                .should()
                .dependOnClassesThat()
                .haveFullyQualifiedName("java.io.File")
                .check(core);
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAPackage("java.lang.reflect..")
                .because("what walks over records stands on what the module records writes")
                .check(core);
    }

    /** The order of such a copy is another in each JVM: a sum over it, or a list made from it, would be too. */
    @Test
    public void mapsKeepTheirOrder() {
        noClasses()
                .should()
                .callMethod(Map.class, "copyOf", Map.class)
                .because("Bounds.ordered keeps the order")
                .check(core);
    }

    @Test
    public void logicKnowsNoSite() {
        classes()
                .that()
                .resideInAPackage("sparen.logic")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("sparen.logic", "java..")
                .check(core);
    }

    @Test
    public void siteKnowsNothingOfTheOthers() {
        classes()
                .that()
                .resideInAPackage("sparen.site")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("sparen.site", "sparen.quantity", "java..")
                .check(core);
    }

    @Test
    public void noPackageCycle() {
        slices().matching("sparen.(**)").should().beFreeOfCycles().check(core);
    }
}
