/** What is seen of a running application from outside: its figures, its version, and which request is which. */
package org.stratopneum.web.platform.watch;
