/** Checking answers, handing in and marking. */
@ApplicationModule(displayName = "Marking", allowedDependencies = {"accounts", "acts", "assignments", "labs",
    "notebooks", "platform", "trials"})
package cauldron.server.marking;

import org.springframework.modulith.ApplicationModule;
