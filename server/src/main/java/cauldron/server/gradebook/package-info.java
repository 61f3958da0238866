/** What the labs of a class come to over a term: categories, what is missing or excused, and files of it. */
@ApplicationModule(displayName = "Gradebook", allowedDependencies = {"accounts", "acts", "assignments", "classes",
    "classwork", "platform", "spreadsheets"})
package cauldron.server.gradebook;

import org.springframework.modulith.ApplicationModule;
