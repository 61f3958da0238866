/** A lab given to a class, and each student's work on it. */
@ApplicationModule(displayName = "Assignments")
package cauldron.server.assignments;

import org.springframework.modulith.ApplicationModule;
