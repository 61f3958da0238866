/** Printing pages as PDF. */
@ApplicationModule(displayName = "Print")
package cauldron.server.print;

import org.springframework.modulith.ApplicationModule;
