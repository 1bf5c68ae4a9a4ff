/** How many dialogs are open: notices keep clear of their buttons. */
export const dialogs = $state({ open: 0 });
