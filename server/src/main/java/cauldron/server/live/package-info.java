/** A class at work: who is where, who asks for help, notes to students, and pausing together; told as it happens. */
@ApplicationModule(displayName = "Live", allowedDependencies = {"accounts", "acts", "assignments", "classes",
    "classwork", "platform"})
package cauldron.server.live;

import org.springframework.modulith.ApplicationModule;
