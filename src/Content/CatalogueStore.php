<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Data\InvalidData;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** The catalogue of this installation: read once, then kept as ready values in the cache folder. */
final class CatalogueStore implements CacheWarmerInterface
{
    private ?Catalogue $catalogue = null;

    public function __construct(private readonly string $catalogueDir, private readonly string $cacheDir, private readonly bool $debug)
    {
    }

    /** @throws InvalidData naming file and path */
    public function get(): Catalogue
    {
        return $this->catalogue ??= $this->load();
    }

    public function isOptional(): bool
    {
        return false;
    }

    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        $this->compile();

        return [];
    }

    /** Reading the YAML takes 15 ms and more, taking the ready values from the file 2 ms. */
    private function load(): Catalogue
    {
        $kept = $this->debug ? false : @file_get_contents($this->file());
        $catalogue = false === $kept ? null : @unserialize($kept);

        return $catalogue instanceof Catalogue ? $catalogue : $this->compile();
    }

    private function compile(): Catalogue
    {
        $catalogue = (new CatalogueReader())->read(self::parse($this->catalogueDir));
        if (!is_dir($this->cacheDir)) {
            @mkdir($this->cacheDir, 0o777, true);
        }
        $temporary = @tempnam($this->cacheDir, 'cat');
        if (false !== $temporary && false !== @file_put_contents($temporary, serialize($catalogue))) {
            chmod($temporary, 0o644);
            rename($temporary, $this->file());
        }

        return $catalogue;
    }

    private function file(): string
    {
        return $this->cacheDir.'/catalogue.values';
    }

    /**
     * @return array{vocabulary: mixed, screening: mixed, goals: mixed, ladders: array<string, mixed>}
     *
     * @throws InvalidData
     */
    public static function parse(string $dir): array
    {
        $read = static function (string $file) use ($dir): mixed {
            try {
                return Yaml::parseFile($dir.'/'.$file);
            } catch (ParseException $e) {
                throw InvalidData::at($file, $e->getMessage());
            }
        };
        $ladders = [];
        foreach (self::ORDER as $key) {
            $ladders['ladders/'.$key.'.yaml'] = $read('ladders/'.$key.'.yaml');
        }

        return ['vocabulary' => $read('vocabulary.yaml'), 'screening' => $read('screening.yaml'), 'goals' => $read('goals.yaml'), 'ladders' => $ladders];
    }

    /** Catalogue order: the order of a sitting and of every list. */
    private const ORDER = ['settle-1', 'settle-2', 'settle-3', 'sensory-2', 'mobilize-3', 'stretch-3', 'stretch-1', 'base-1', 'open-1', 'separate-1', 'dexterity-1'];
}
