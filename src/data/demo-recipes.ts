/** A demo recipe: as the household would paste it, and the words to find it by. */
export interface DemoRecipe {
  readonly text: string;
  readonly tags: readonly string[];
}

/** The made-up household's recipes, as it would paste them. */
export const DEMO_RECIPES: readonly DemoRecipe[] = [
  {
    tags: ["festival", "any season"],
    text: `Semolina halwa
Serves 6

Ingredients
1 cup fine semolina
½ cup ghee
1 cup sugar
2½ cups hot water
2 tbsp cashews, broken
2 tbsp golden raisins
½ tsp ground cardamom
a pinch of salt

Method
1. Warm the ghee in a heavy pan over a low flame. Fry the cashews until they take colour, then the golden raisins until they swell, and lift both out.
2. Tip in the fine semolina and roast it for 12 minutes, stirring all the while, until it smells of nuts and turns the colour of sand.
3. Take the pan off the flame and pour in the hot water in a thin stream, at arm's length: it spits. Put it back and stir until the water is gone, 4 minutes.
4. Stir in the sugar and the salt. It loosens as the sugar melts and tightens again; cook for 4 minutes more, until it leaves the sides.
5. Fold in the ground cardamom, the cashews and the raisins, cover, and let it stand for 5 minutes before serving.`,
  },
  {
    tags: ["summer", "moonrise supper"],
    text: `Saffron phirni of ground rice
Serves 6

Ingredients
1 litre full-cream milk
¼ cup ground rice
½ cup sugar
12 saffron strands
½ tsp ground cardamom
2 tbsp slivered almonds
1 tbsp slivered pistachios
1 tsp rose water

Method
1. Rub the saffron strands into two spoonfuls of warm milk and leave them to colour it.
2. Stir the ground rice into half a cup of the cold milk until no lump is left.
3. Bring the rest of the milk to a simmer, pour in the rice in a thin stream, and stir until it thickens. Simmer for 20 minutes, stirring, until a line drawn on the spoon stays open.
4. Add the sugar and the saffron and simmer for 5 minutes more.
5. Off the heat, stir in the ground cardamom and the rose water. Pour into small bowls, scatter the slivered almonds and pistachios, and chill for 3 hours.`,
  },
  {
    tags: ["festival", "winter"],
    text: `Besan ladoo
Makes 16 pieces

Ingredients
2 cups besan
¾ cup ghee
1 cup powdered sugar
½ tsp ground cardamom
2 tbsp chopped almonds

Method
1. Melt the ghee in a heavy pan on a low flame, stir in the besan, and roast it for 25 minutes without a stop, until it is the colour of honey, loosens to a soft paste and smells of roasted nuts.
2. Take it off the flame and leave it to cool for 20 minutes, until a finger bears it.
3. Work in the powdered sugar, the ground cardamom and the almonds with the heel of the hand.
4. Shape it into 16 balls while it is still lukewarm, and let them stand until they are firm.`,
  },
  {
    tags: ["winter"],
    text: `Sesame-jaggery ladoo
Makes 18 pieces

Ingredients
200 g white sesame seeds
150 g jaggery, grated
2 tsp ghee
½ tsp ground cardamom

For the syrup:
2 tbsp water

Method
1. Roast the sesame seeds in a dry pan on a low flame for 6 minutes, stirring, until they crackle and turn a shade darker. Tip them onto a plate.
2. Melt the jaggery with the water and the ghee in the same pan and cook it for 4 minutes, until a drop in cold water gathers to a soft ball.
3. Off the flame, stir in the sesame seeds and the ground cardamom quickly.
4. With wet hands shape 18 balls while the mass is hot but bears touching.`,
  },
  {
    tags: ["summer", "fasting day"],
    text: `Bottle-gourd kheer
Serves 6

Ingredients
500 g bottle gourd
1 tbsp ghee
1 litre full-cream milk
½ cup sugar
8 cashews, broken
4 green cardamom pods, crushed
1 pinch saffron

Method
1. Peel the bottle gourd, take out the soft middle and grate it.
2. Warm the ghee in a heavy pan, fry the cashews until they take colour, and lift them out.
3. Cook the grated gourd in the ghee for 6 minutes, stirring now and then, until its raw smell is gone.
4. Pour in the milk, bring it to a simmer, and simmer for 35 minutes, stirring now and then, until the gourd is soft and the milk coats the spoon.
5. Stir in the sugar and the saffron and simmer for 5 minutes more.
6. Off the heat, add the green cardamom and the cashews. Good warm; thicker from the fridge.`,
  },
  {
    tags: ["winter", "festival"],
    text: `Beetroot halwa
Serves 6

Ingredients
600 g beetroot
3 tbsp ghee
500 ml milk
½ cup sugar
2 tbsp raisins
2 tbsp almonds, chopped
½ tsp ground cardamom

Method
1. Peel the beetroot and grate it finely.
2. Warm half the ghee in a heavy pan and cook the beetroot in it for 8 minutes, stirring, until it smells sweet rather than of earth.
3. Pour in the milk and simmer for 40 minutes, stirring now and then, until hardly any is left in the pan.
4. Add the sugar: it turns wet again. Cook for 10 minutes more, stirring, until the spoon leaves a clean path.
5. Stir in the remaining ghee, the raisins, the almonds and the ground cardamom and cook for 2 minutes.`,
  },
  {
    tags: ["fasting day", "winter"],
    text: `Amaranth ladoo
Makes 14 pieces

Ingredients
100 g popped amaranth
150 g jaggery, grated
3 tbsp water
1 tbsp ghee
3 tbsp peanuts, roasted and crushed
¼ tsp dry ginger powder

Method
1. Melt the jaggery in the water, strain it through a fine sieve, and put it back on the flame.
2. Add the ghee and cook for 5 minutes, until a drop in cold water makes a soft ball.
3. Off the heat, fold in the popped amaranth, the peanuts and the dry ginger: the popped grain drinks the syrup at once.
4. With wet hands shape 14 balls while it is warm.`,
  },
  {
    tags: ["winter", "no sugar added"],
    text: `Fig-and-walnut roll
Makes 20 pieces

Ingredients
250 g dried figs
100 g dates, pitted
100 g walnuts
2 tbsp white sesame seeds
1 tsp ghee
a pinch of salt

Method
1. Soak the dried figs and the dates in hot water for 20 minutes, drain them well, and grind them to a paste.
2. Roast the walnuts in a dry pan for 5 minutes until they smell of nuts, and chop them.
3. Warm the ghee in a heavy pan and cook the fig paste for 8 minutes on a low flame, stirring, until it gathers in one lump.
4. Take it off the heat, knead in the walnuts and the salt, and roll it into a log on the sesame seeds.
5. Chill it for 2 hours, then cut it into 20 slices.`,
  },
  {
    tags: ["fasting day", "summer"],
    text: `Sago pudding
Serves 6

Ingredients
½ cup sago
1 litre milk
½ cup sugar
10 saffron strands
½ tsp ground cardamom
2 tbsp cashews
1 tbsp ghee

To serve:
2 bananas, sliced

Method
1. Rinse the sago until the water runs clear and soak it for 2 hours; it swells and crushes between two fingers. Drain it.
2. Bring the milk to a simmer, stir in the sago and simmer for 18 minutes, stirring now and then, until the pearls are clear to the core.
3. Add the sugar and the saffron and simmer for 4 minutes more.
4. Fry the cashews in the ghee until they take colour and tip both into the pudding with the ground cardamom.

To serve:
5. Slice the bananas and hand them round apart.`,
  },
  {
    tags: ["summer"],
    text: `Baked milk custard
Serves 6

Ingredients
For the caramel:
⅓ cup sugar
2 tbsp hot water

For the custard:
500 ml milk
3 eggs
⅓ cup sugar
1 tsp vanilla extract
a pinch of salt

Method

For the caramel:
1. Caramelise the sugar in a dry pan on a low flame, 7 minutes, until it is the colour of strong tea. Off the flame pour in the hot water at arm's length, and turn the caramel into six small moulds.

For the custard:
2. Warm the milk with the sugar and the salt until it steams, 4 minutes.
3. Whisk the eggs, temper them with a thin stream of the hot milk, and stir in the vanilla. Strain.
4. Pour it onto the caramel and bake in a water bath at 150 °C for 40 minutes, until the middle trembles like jelly.
5. Chill it for 4 hours before unmoulding.`,
  },
  {
    tags: ["winter", "fasting day"],
    text: `Sweet-potato halwa
Serves 6

Ingredients
700 g sweet potatoes
4 tbsp ghee
¾ cup jaggery, grated
1 cup milk
2 tbsp cashews
½ tsp ground cardamom

Method
1. Steam the sweet potatoes in their skins for 25 minutes until a knife goes through, then peel and mash them.
2. Fry the cashews in the ghee until they take colour and lift them out.
3. Cook the mashed sweet potato in the ghee for 8 minutes, stirring, until it glistens.
4. Pour in the milk and cook for 10 minutes, stirring, until it is drawn in.
5. Take it off the heat, stir in the jaggery until it melts, and cook for 5 minutes more, until it leaves the sides.
6. Fold in the ground cardamom and the cashews.`,
  },
  {
    tags: ["any season", "breakfast"],
    text: `Foxtail-millet payasam
Serves 6

Ingredients
½ cup foxtail millet
2 tbsp moong dal
3 cups water
1 can (400 ml) coconut milk
¾ cup jaggery, grated
1 tbsp ghee
2 tbsp cashews
1 tbsp raisins
½ tsp ground cardamom

For the syrup:
¼ cup water

Method
1. Roast the moong dal in a dry pan for 4 minutes until it smells of nuts.
2. Wash the millet, add it, and pressure-cook both in the 3 cups of water for 3 whistles, until they mash between two fingers.

For the syrup:
3. Melt the jaggery in the water and strain it.

For the payasam:
4. Stir the syrup into the grain and simmer for 6 minutes.
5. Lower the heat, stir in the coconut milk, and take the pan off before it boils.
6. Fry the cashews and the raisins in the ghee until they swell, and tip all into the payasam with the ground cardamom.`,
  },
  {
    tags: ["winter"],
    text: `Sorghum ladoo
Makes 15 pieces

Ingredients
1½ cups sorghum flour
½ cup ghee
¾ cup jaggery powder
2 tbsp edible gum
2 tbsp almonds, chopped
½ tsp dry ginger powder

Method
1. Fry the edible gum in the ghee, a little at a time, until it puffs, and lift it out. Crush it.
2. Roast the sorghum flour in the ghee for 14 minutes on a low flame, stirring, until it is a shade darker and smells of popcorn.
3. Off the heat, leave it to cool for 10 minutes, then work in the jaggery powder, the gum, the almonds and the dry ginger.
4. Shape 15 balls while it is warm.`,
  },
  {
    tags: ["festival", "winter"],
    text: `Almond halwa
Serves 8

Ingredients
200 g almonds
200 ml milk
¾ cup sugar
½ cup ghee
12 saffron strands
½ tsp ground cardamom

Method
1. Soak the almonds overnight, slip off their skins, and grind them with the milk to a coarse paste.
2. Warm a third of the ghee in a heavy pan, add the almond paste and cook for 10 minutes on a low flame, stirring, until it thickens.
3. Add the sugar and the saffron and cook for 12 minutes, stirring, with the rest of the ghee in three lots, until the halwa leaves the sides and shines.
4. Stir in the ground cardamom.`,
  },
  {
    tags: ["autumn", "breakfast"],
    text: `Apple-and-oat kheer
Serves 4

Ingredients
For the oat milk:
80 g rolled oats
700 ml cold water

For the kheer:
2 apples
1 tbsp ghee
2 tbsp rolled oats
⅓ cup dates, chopped
¼ tsp ground cinnamon
1 tbsp walnuts, chopped

Method

For the oat milk:
1. Blend the rolled oats with the cold water for half a minute and strain it through a cloth, without wringing.

For the kheer:
2. Peel, core and grate the apples. Cook them in the ghee for 6 minutes, stirring now and then, until they are soft.
3. Add the rolled oats and the oat milk, bring it to a simmer, and simmer for 8 minutes, stirring, until it coats the spoon.
4. Off the heat, stir in the dates and the ground cinnamon and let it cool for 10 minutes.
5. Scatter the walnuts and serve warm.`,
  },
];
