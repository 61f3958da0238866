/** Checking answers, handing in, marking and the class list. */
@ApplicationModule(displayName = "Marking")
package cauldron.server.marking;

import org.springframework.modulith.ApplicationModule;
