/** What a wheel went through, on paper. */
package org.stratopneum.web.history;
