package org.ulnaris.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import jakarta.persistence.Entity;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.stereotype.Controller;
import org.ulnaris.app.work.Shapes;
import org.ulnaris.core.worked.JobWorker;

class ArchitectureTest {
    private static final JavaClasses APP = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.ulnaris.app");

    @Test
    void timeComesFromTheOneClock() {
        ArchRuleDefinition.noClasses()
                .should()
                .callMethod(Instant.class, "now")
                .orShould()
                .callMethod(LocalDate.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .check(APP);
    }

    @Test
    void featuresHaveNoCycles() {
        SlicesRuleDefinition.slices()
                .matching("org.ulnaris.app.(*)..")
                .should()
                .beFreeOfCycles()
                .check(APP);
    }

    @Test
    void shellKnowsNoFeature() {
        ArchRuleDefinition.noClasses()
                .that()
                .resideInAPackage("..app.shell..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "..app.job..",
                        "..app.plan..",
                        "..app.match..",
                        "..app.make..",
                        "..app.exchange..",
                        "..app.pack..")
                .check(APP);
    }

    @Test
    void repositoriesStayInTheirFeature() {
        ArchRuleDefinition.classes()
                .that()
                .areAssignableTo(Repository.class)
                .should()
                .bePackagePrivate()
                .check(APP);
    }

    @Test
    void controllersTouchNoRepository() {
        ArchRuleDefinition.noClasses()
                .that()
                .areAnnotatedWith(Controller.class)
                .should()
                .dependOnClassesThat()
                .areAssignableTo(Repository.class)
                .check(APP);
    }

    @Test
    void entitiesComputeNothing() {
        ArchRuleDefinition.noClasses()
                .that()
                .areAnnotatedWith(Entity.class)
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("..core.sizing..", "..core.rating..")
                .check(APP);
    }

    /**
     * What is kept either shapes the worked job or is known not to: readings and steps tell what was done, a price and the shop's rules
     * reach a job only when they are copied into it.
     */
    @Test
    void everyEntityShapesJobsOrIsKnownNotTo() {
        assertThat(APP.stream()
                        .filter(type -> type.isAnnotatedWith(Entity.class))
                        .filter(type -> !type.isAssignableTo(Shapes.class))
                        .map(JavaClass::getSimpleName))
                .containsExactlyInAnyOrder("LastStep", "Redo", "ShopRules", "CablePrice");
    }

    /** One place works a job out, three try out a changed one and one works out what would become a job; pages, sheets, files and REST ask them. */
    @Test
    void pagesWorkNoJobOut() {
        ArchRuleDefinition.noClasses()
                .that()
                .resideOutsideOfPackages(
                        "..app.assembly..", "..app.answer..", "..app.whatif..", "..app.rules..", "..app.fix..")
                .should()
                .dependOnClassesThat()
                .areAssignableTo(JobWorker.class)
                .check(APP);
    }

    @Test
    void templatesHoldNoInlineStyleOrScript() throws Exception {
        try (Stream<Path> files = Files.walk(Path.of("src/main/resources/templates"))) {
            assertThat(files.filter(Files::isRegularFile)
                            .filter(file -> !file.endsWith(Path.of("pack/sheet.html")))
                            .filter(file -> !file.endsWith(Path.of("crib/tags.html"))))
                    .allSatisfy(file -> assertThat(Files.readString(file))
                            .doesNotContain(" style=", "th:style", "onclick", "javascript:")
                            .doesNotContainPattern("<script(?![^>]*src)"));
        }
    }

    @Test
    void everyPackageIsNullMarked() throws Exception {
        try (Stream<Path> folders = Files.walk(Path.of("src/main/java/org/ulnaris/app"))) {
            assertThat(folders.filter(Files::isDirectory))
                    .allSatisfy(folder -> assertThat(folder.resolve("package-info.java"))
                            .content()
                            .contains("@NullMarked"));
        }
    }

    @Test
    void onlyDrawingsAndReasonsGoIntoPagesUnescaped() throws Exception {
        try (Stream<Path> templates = Files.walk(Path.of("src/main/resources/templates"))) {
            for (Path template : templates.filter(Files::isRegularFile).toList()) {
                String unescaped = Files.readString(template)
                        .replaceAll("th:utext=\"\\$\\{[a-zA-Z.()]+\\.svg\\(\\)}\"", "")
                        .replaceAll("th:utext=\"\\$\\{[a-zA-Z.()]*[wW]hy(\\(\\))?\\.html\\(\\)}\"", "");
                assertThat(unescaped).as(template.toString()).doesNotContain("utext", "[(");
            }
        }
    }
}
