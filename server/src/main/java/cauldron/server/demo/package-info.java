/** The made-up school of Skerry Point, loaded once into an empty database. */
@ApplicationModule(displayName = "Demo school",
    allowedDependencies = {"accounts", "assignments", "classes", "labs", "marking", "notebooks", "platform", "trials"})
package cauldron.server.demo;

import org.springframework.modulith.ApplicationModule;
