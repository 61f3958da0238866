/** A lab given to a class, and each student's work on it. */
@ApplicationModule(displayName = "Assignments",
    allowedDependencies = {"accounts", "acts", "classes", "labs", "platform", "print"})
package cauldron.server.assignments;

import org.springframework.modulith.ApplicationModule;
