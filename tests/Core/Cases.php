<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core;

use HandGarden\Content\CatalogueReader;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Drawing\DrawingLibrary;
use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Exchange\Case\CaseReader;
use HandGarden\Exchange\Case\SchemaCheck;

/** The real catalogue and the example cases, read once for all tests. */
final class Cases
{
    private static ?Catalogue $catalogue = null;

    private static ?DrawingLibrary $drawings = null;

    public static function catalogue(): Catalogue
    {
        return self::$catalogue ??= (new CatalogueReader())->read(
            CatalogueStore::parse(self::root().'/catalogue'),
        );
    }

    public static function drawings(): DrawingLibrary
    {
        return self::$drawings ??= CatalogueStore::readDrawings(self::root().'/catalogue');
    }

    public static function example(string $name): CaseFile
    {
        return self::read((string) file_get_contents(self::root().'/docs/examples/'.$name.'.json'));
    }

    public static function read(string $json): CaseFile
    {
        return (
            new CaseReader(self::catalogue(), new SchemaCheck(self::root().'/docs/case.schema.json'))
        )->read($json);
    }

    /**
     * An example with changes: keys of the top level replaced.
     *
     * @param array<string, mixed> $changes
     */
    public static function changed(string $name, array $changes): CaseFile
    {
        /** @var array<string, mixed> $case */
        $case = json_decode(
            (string) file_get_contents(self::root().'/docs/examples/'.$name.'.json'),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );

        return self::read(json_encode(array_replace($case, $changes), \JSON_THROW_ON_ERROR));
    }

    /** @return array<string, string> every screening question answered no */
    public static function allNo(): array
    {
        $answers = [];
        foreach (self::catalogue()->screening->questions as $question) {
            $answers[$question->id] = 'no';
        }

        return $answers;
    }

    public static function root(): string
    {
        return \dirname(__DIR__, 2);
    }

    /**
     * @return array{
     *     ladders: list<array{key: string, strand: string, name: string, rungs: list<string>}>,
     *     seconds: array<string, int>,
     * } what practitioners reviewed: ladders, rungs and times
     */
    public static function reviewed(): array
    {
        /**
         * @var array{
         *     ladders: list<array{key: string, strand: string, name: string, rungs: list<string>}>,
         *     seconds: array<string, int>,
         * } $reviewed
         */
        $reviewed = json_decode(
            (string) file_get_contents(__DIR__.'/fixtures/reviewed.json'),
            true,
            512,
            \JSON_THROW_ON_ERROR,
        );

        return $reviewed;
    }
}
