// Sets the look before the first paint, so that a dark room stays dark.
const grounds = { daylight: '#f6f1e7', lantern: '#15120f', ember: '#0b0302' };
let look = 'lantern';
try {
  look = localStorage.getItem('look') ?? look;
} finally {
  document.documentElement.dataset.look = look in grounds ? look : 'lantern';
  // The bars of the browser round the page are of the same dark.
  document.querySelector('meta[name=theme-color]').content = grounds[document.documentElement.dataset.look];
}
