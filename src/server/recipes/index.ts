export { changeRecipe, keepRecipe, listRecipes } from './recipes'
