/** What people did with accounts and classes: who, what, when. Kept for good, read by the administrator. */
@ApplicationModule(displayName = "Acts", allowedDependencies = "platform")
package cauldron.server.acts;

import org.springframework.modulith.ApplicationModule;
