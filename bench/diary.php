<?php

declare(strict_types=1);

// How often a diary in which nothing does anything is said to hold something, and how often an effect that was put in
// is found. php bench/diary.php [diaries]
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Diary\Triggers;
use HandGarden\Tests\Core\MadeUpDiary;

require __DIR__.'/../vendor/autoload.php';
$diaries = (int) ($argv[1] ?? 4000);
$claims = 0;
$began = hrtime(true);
for ($seed = 0; $seed < $diaries; ++$seed) {
    $claims += [] === Triggers::in(MadeUpDiary::of(28, $seed), Factor::usual(), $seed, 499)->found ? 0 : 1;
}
printf(
    "%d diaries with nothing in them: something claimed in %.1f %%\n",
    $diaries,
    100 * $claims / $diaries,
);
foreach ([1, 2, 3] as $worse) {
    $found = 0;
    for ($seed = 0; $seed < 400; ++$seed) {
        $triggers = Triggers::in(
            MadeUpDiary::of(28, $seed, Factor::Stress, $worse),
            Factor::usual(),
            $seed,
            499,
        );
        $found += Factor::Stress === ($triggers->found[0] ?? null)?->factor ? 1 : 0;
    }
    printf("worse by %d with stress: found in %.1f %% of 400\n", $worse, $found / 4);
}
printf("%.1f ms a diary\n", (hrtime(true) - $began) / 1e6 / ($diaries + 1200));
