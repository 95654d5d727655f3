/** What can go wrong with a request, for every feature alike. */
package org.stratopneum.web.platform.fault;
