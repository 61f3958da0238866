/** Labs on paper: to be worked on with a pen, or with the key for whoever marks it. */
@ApplicationModule(displayName = "Worksheets", allowedDependencies = {"labs", "platform", "print"})
package cauldron.server.worksheets;

import org.springframework.modulith.ApplicationModule;
