package org.ulnaris.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import com.tngtech.archunit.library.Architectures;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ArchitectureTest {
    /** Upper rows may not use lower ones. */
    private static final List<String> ROWS = List.of(
            "measure",
            "finding",
            "reference",
            "conductor",
            "rating",
            "network",
            "protection",
            "rules",
            "sizing",
            "installation",
            "feed",
            "solving",
            "overcurrent",
            "budget",
            "fastening",
            "termination",
            "crimp",
            "contact",
            "proving",
            "tooling",
            "making",
            "record",
            "job",
            "worked",
            "landing",
            "parts",
            "fix",
            "ask");

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.ulnaris.core");

    @Test
    void aPackageUsesOnlyTheRowsAboveIt() {
        Architectures.LayeredArchitecture layers =
                Architectures.layeredArchitecture().consideringOnlyDependenciesInLayers();
        for (String row : ROWS) {
            layers = layers.layer(row).definedBy("org.ulnaris.core." + row + "..");
        }
        for (int i = 0; i < ROWS.size(); i++) {
            String[] below = ROWS.subList(i + 1, ROWS.size()).toArray(String[]::new);
            layers = below.length == 0
                    ? layers.whereLayer(ROWS.get(i)).mayNotBeAccessedByAnyLayer()
                    : layers.whereLayer(ROWS.get(i)).mayOnlyBeAccessedByLayers(below);
        }
        layers.check(CORE);
    }

    @Test
    void noCycles() {
        SlicesRuleDefinition.slices()
                .matching("org.ulnaris.core.(*)..")
                .should()
                .beFreeOfCycles()
                .check(CORE);
    }

    @Test
    void plainJava() {
        ArchRuleDefinition.classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "java..",
                        "org.jspecify..",
                        "org.ejml..",
                        "org.apache.commons.text..",
                        "com.github.benmanes.caffeine..",
                        "org.jgrapht..",
                        "org.locationtech.jts..",
                        "org.ulnaris.core..")
                .check(CORE);
    }

    @Test
    void noPublicMethodTakesFourBareDoubles() {
        ArchRuleDefinition.methods()
                .that()
                .arePublic()
                .should(new ArchCondition<JavaMethod>("take at most three doubles") {
                    @Override
                    public void check(JavaMethod method, ConditionEvents events) {
                        long doubles = method.getRawParameterTypes().stream()
                                .filter(type -> type.isEquivalentTo(double.class))
                                .count();
                        events.add(new SimpleConditionEvent(method, doubles < 4, method.getFullName()));
                    }
                })
                .check(CORE);
    }

    @Test
    void calculatorsKeepNoState() {
        ArchRuleDefinition.fields()
                .that()
                .areDeclaredInClassesThat()
                .resideInAPackage("org.ulnaris.core..")
                .and()
                .areDeclaredInClassesThat()
                .haveNameNotMatching(".*SizeSearch\\$Run")
                .and()
                .doNotHaveModifier(JavaModifier.SYNTHETIC)
                .should()
                .beFinal()
                .check(CORE);
    }

    @Test
    void everyPackageIsNullMarked() throws Exception {
        Path root = Path.of("src/main/java/org/ulnaris/core");
        try (Stream<Path> folders = Files.list(root)) {
            assertThat(folders.filter(Files::isDirectory))
                    .allSatisfy(folder -> assertThat(folder.resolve("package-info.java"))
                            .content()
                            .contains("@NullMarked"));
        }
    }
}
