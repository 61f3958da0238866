/** A student's whole work on one lab as a document to print or to keep. */
@ApplicationModule(displayName = "Reports",
    allowedDependencies = {"accounts", "assignments", "labs", "marking", "platform", "print", "trials", "worksheets"})
package cauldron.server.reports;

import org.springframework.modulith.ApplicationModule;
