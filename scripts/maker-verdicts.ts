/**
 * What a maker says of the first version of a case, pan by pan: looked at once, and bound to that version. Of another one it says nothing.
 */
export const MAKER_VERDICTS: Readonly<Record<string, { readonly of: string; readonly verdict: string }>> = {
  "Besan ladoo, vegan": {
    of: "chickpea flour 226 g, coconut oil 140 g, cocoa butter 25 g, icing sugar 120 g, almonds 16.8 g",
    verdict: "Cook. Coconut oil with a little cocoa butter holds a ball in a warm room; it tastes of coconut.",
  },
  "Besan ladoo, dairy-free, no nuts": {
    of: "chickpea flour 226 g, sunflower oil 125 g, cocoa butter 40 g, icing sugar 120 g, pumpkin seeds 15 g",
    verdict: "Cook after a correction: cocoa butter smells of chocolate in besan; coconut oil, where this table counts coconut as no nut.",
  },
  "Besan ladoo, navratri": {
    of: "amaranth flour 230 g, ghee 164 g, icing sugar 120 g, almonds 16.8 g",
    verdict: "Cook. Amaranth browns sooner than besan: watch it from the tenth minute.",
  },
  "Sesame balls, vegan": {
    of: "sesame seeds 200 g, jaggery 150 g, coconut oil 9 g, water 30 g",
    verdict: "Cook as it stands.",
  },
  "Sesame balls, dairy-free, no nuts": {
    of: "sesame seeds 200 g, jaggery 150 g, sunflower oil 9 g, water 30 g",
    verdict: "Cook as it stands.",
  },
  "Carrot halwa, vegan": {
    of: "carrot 1070 g, almond milk 830 g, sugar 160 g, coconut oil 60 g, cashew nuts 30 g",
    verdict: "Cook. Coconut comes through; the milk is drunk up as before.",
  },
  "Carrot halwa, dairy-free, no nuts": {
    of: "carrot 1050 g, melon-seed paste 40 g, soya milk 1040 g, sugar 155 g, sunflower oil 65 g, pumpkin seeds 35 g",
    verdict: "Cook. A little beany until the cardamom goes in.",
  },
  "Carrot halwa, free sugars at most 8 g": {
    of: "carrot 1100 g, whole milk 1030 g, sugar 45 g, erythritol 60 g, stevia extract 0.32 g, ghee 60 g, cashew nuts 30 g",
    verdict: "Cook, and eat it warm: cold it cools the mouth.",
  },
  "Moong dal halwa, vegan": {
    of: "split green gram 200 g, coconut oil 135 g, sugar 150 g, water 500 g",
    verdict: "Cook. Water does; it is a coconut halwa now.",
  },
  "Moong dal halwa, dairy-free, no nuts": {
    of: "split green gram 200 g, sunflower oil 135 g, sugar 150 g, water 500 g",
    verdict: "Cook after a correction: so much sunflower oil tastes of oil; half of it something with a taste.",
  },
  "Moong dal halwa, free sugars at most 8 g": {
    of: "split green gram 200 g, ghee 120 g, sugar 45 g, erythritol 60 g, stevia extract 0.31 g, whole milk 309 g, water 250 g",
    verdict: "Cook, hot.",
  },
  "Moong dal halwa, navratri": {
    of: "amaranth flour 150 g, ghee 120 g, sugar 150 g, whole milk 309 g, water 420 g",
    verdict: "Cook, as an amaranth halwa: it is no dal halwa any more, and should be called so.",
  },
  "Baked custard, vegan": {
    of: "almond milk 650 g, agar powder 5 g, sugar 85 g",
    verdict: "Cook after a correction: it sets and slices, and tastes thin; two spoons of almond paste.",
  },
  "Baked custard, dairy-free, no nuts": {
    of: "soya milk 510 g, egg 150 g, sugar 85 g",
    verdict: "Cook. Soya and egg set as milk and egg do.",
  },
  "Baked custard, gluten-free, egg-free": {
    of: "whole milk 515 g, water 95 g, agar powder 5 g, sugar 80 g, cashew paste 45 g",
    verdict: "Cook after a correction: a milk jelly and no custard; less agar, for a spoon.",
  },
  "Baked custard, free sugars at most 8 g": {
    of: "whole milk 515 g, egg 150 g, sugar 45 g, xylitol 35 g",
    verdict: "Cook. None for the dog.",
  },
  "Baked custard, navratri": {
    of: "whole milk 515 g, water 95 g, agar powder 5 g, sugar 80 g, cashew paste 45 g",
    verdict: "Cook after a correction: a milk jelly and no custard; less agar, for a spoon.",
  },
  "Cardamom panna cotta, vegan": {
    of: "coconut cream 74.9 g, cashew milk 330 g, water 6 g, sugar 60 g, agar powder 2.6 g, cashew paste 35 g, almond paste 35 g",
    verdict: "Cook.",
  },
  "Cardamom panna cotta, free sugars at most 8 g": {
    of: "cream 300 g, whole milk 206 g, sugar 30 g, xylitol 30 g, gelatin 8 g",
    verdict: "Cook.",
  },
  "Cardamom panna cotta, navratri": {
    of: "cream 300 g, whole milk 206 g, sugar 60 g, agar powder 2.6 g",
    verdict: "Cook. It snaps a little more than with gelatine.",
  },
  "Cashew barfi, vegan": {
    of: "cashew nuts 250 g, sugar 150 g, water 80 g, coconut oil 14 g",
    verdict: "Cook.",
  },
  "Cashew barfi, dairy-free, no nuts": {
    of: "melon seeds 250 g, sugar 160 g, water 80 g, sunflower oil 9 g",
    verdict: "Cook after a correction: melon seeds bring oil of their own; leave the oil to the tray.",
  },
  "Kulfi, vegan": {
    of: "oat drink 650 g, coconut milk 200 g, sugar 115 g, pistachios 30 g, almond paste 30 g",
    verdict: "Cook after a correction: hard from the freezer; a quarter of an hour at the table, or more almond paste.",
  },
  "Kulfi, dairy-free, no nuts": {
    of: "soya milk 810 g, coconut sugar 135 g, sugar 9 g, sunflower seeds 35 g, arrowroot 10 g",
    verdict: "Not: brown and beany, and no kulfi. A fruit ice for this table.",
  },
  "Kulfi, free sugars at most 8 g": {
    of: "whole milk 1030 g, sweetened condensed milk 110 g, stevia extract 0.06 g, xylitol 40 g, pistachios 30 g",
    verdict: "Cook.",
  },
  "Panjiri, vegan": {
    of: "whole-wheat flour 300 g, coconut oil 120 g, icing sugar 120 g, almonds 50 g",
    verdict: "Cook.",
  },
  "Panjiri, dairy-free, no nuts": {
    of: "whole-wheat flour 300 g, sunflower oil 130 g, icing sugar 120 g, pumpkin seeds 40 g",
    verdict: "Cook after a correction: an oil that stays liquid leaves it greasy cold; a quarter less.",
  },
  "Panjiri, gluten-free, egg-free": {
    of: "chickpea flour 310 g, ghee 105 g, icing sugar 120 g, almonds 50 g",
    verdict: "Cook. Besan panjiri is a sweet of its own right.",
  },
  "Panjiri, free sugars at most 8 g": {
    of: "whole-wheat flour 280 g, ghee 120 g, icing sugar 80 g, erythritol 60 g, almonds 50 g",
    verdict: "Cook after a correction: grind the erythritol with the sugar, or it grits.",
  },
  "Panjiri, navratri": {
    of: "water-chestnut flour 310 g, ghee 120 g, icing sugar 110 g, almonds 50 g",
    verdict: "Cook.",
  },
  "Date and nut balls, vegan": {
    of: "dates 250 g, almonds 80 g, cashew nuts 60 g, coconut oil 14 g",
    verdict: "Cook.",
  },
  "Date and nut balls, dairy-free, no nuts": {
    of: "dates 230 g, peanuts 150 g, sunflower oil 15 g",
    verdict: "Cook, where this table eats peanuts: ask.",
  },
  "Caramel sauce, vegan": {
    of: "sugar 150 g, coconut oil 30 g, coconut cream 140 g, almond paste 19 g",
    verdict: "Cook. Coconut cream takes a caramel well.",
  },
  "Caramel sauce, free sugars at most 8 g": {
    of: "coconut sugar 70 g, allulose 25 g, stevia extract 0.1 g, butter 45 g, cream 185 g",
    verdict:
      "Not as it stands: coconut sugar burns before it tells its colour, and allulose browns on its own; stir them into warm cream and call it a toffee sauce.",
  },
  "Shrikhand, free sugars at most 8 g": {
    of: "hung curd 220 g, icing sugar 30 g, allulose 20 g, stevia extract 0.08 g",
    verdict: "Cook.",
  },
};
