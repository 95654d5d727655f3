/** JSON that comes from outside: read field by field with all its faults, which are answered as problem details. */
package org.stratopneum.web.platform.json;
