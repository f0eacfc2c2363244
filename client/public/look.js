// Sets the look before the first paint, so that a dark room stays dark.
try {
  document.documentElement.dataset.look = localStorage.getItem('look') || 'lantern';
} catch {
  document.documentElement.dataset.look = 'lantern';
}
