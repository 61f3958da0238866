/** What classes have been given, and how everyone stands with it: class lists and home pages. */
@ApplicationModule(displayName = "Class work", allowedDependencies = {"accounts", "acts", "assignments", "classes",
        "labs", "marking",
    "platform", "trials"})
package cauldron.server.classwork;

import org.springframework.modulith.ApplicationModule;
