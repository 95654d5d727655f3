/** What the running application takes, asked as riders ask it: by HTTP. */
package org.stratopneum.bench.web;
