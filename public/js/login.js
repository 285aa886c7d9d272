// Whoever logs in begins afresh: readings that another person left open in this browser are let go.
globalThis.caches?.delete('vc-readings');
