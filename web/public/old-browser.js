// Run by browsers that know no modules, and so nothing of the application: the page as a plain form.
window.location.replace(window.location.pathname.concat('/plain', window.location.search))
