/** Printing pages as PDF. */
@ApplicationModule(displayName = "Print", allowedDependencies = {})
package cauldron.server.print;

import org.springframework.modulith.ApplicationModule;
