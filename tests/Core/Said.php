<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;
use HandGarden\Library\ConditionWords;
use HandGarden\Library\FactWords;
use HandGarden\Library\PlacementWords;
use HandGarden\Planning\PlacementViews;
use HandGarden\Web\Wording;
use Symfony\Component\Translation\Formatter\MessageFormatter;
use Symfony\Component\Translation\Loader\YamlFileLoader;
use Symfony\Component\Translation\Translator;

/** The words of the application for what the core says, without starting it. */
final class Said
{
    private static ?Wording $wording = null;

    private static ?CatalogueStore $store = null;

    public static function of(Phrase|Joined|string|null $phrase): string
    {
        return null === $phrase ? '' : self::wording()->say($phrase);
    }

    public static function wording(): Wording
    {
        if (null === self::$wording) {
            $translator = new Translator('en', new MessageFormatter());
            $translator->addLoader('yaml', new YamlFileLoader());
            $translator->addResource(
                'yaml',
                Cases::root().'/translations/messages+intl-icu.en.yaml',
                'en',
                'messages+intl-icu',
            );
            self::$wording = new Wording($translator);
        }

        return self::$wording;
    }

    public static function placement(): PlacementWords
    {
        return new PlacementWords(self::store(), self::wording(), self::facts());
    }

    public static function conditions(): ConditionWords
    {
        return new ConditionWords(self::wording(), self::facts());
    }

    public static function views(): PlacementViews
    {
        return new PlacementViews(self::placement(), self::wording());
    }

    private static function facts(): FactWords
    {
        return new FactWords(self::store(), self::wording());
    }

    public static function store(): CatalogueStore
    {
        return self::$store ??= new CatalogueStore(
            Cases::root().'/catalogue',
            sys_get_temp_dir().'/hand-garden-words-'.getmypid(),
            true,
        );
    }
}
