// Before the first paint: the page behind the application has the colours that were chosen, so that night never flashes white.
(function () {
  const papers = { night: '#000000', sun: '#FFFFFF' };
  try {
    const paper = papers[localStorage.getItem('escale-theme')];
    if (paper) document.documentElement.style.background = paper;
    if (papers.night === paper) document.documentElement.style.colorScheme = 'dark';
  } catch (_error) {
    // Without leave to read what it kept, the page is as by day.
  }
})();
