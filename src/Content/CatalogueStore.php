<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\PoseLibrary;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** The catalogue of this installation: read once, then kept as ready values in the cache folder. */
final class CatalogueStore implements CacheWarmerInterface
{
    private ?Catalogue $catalogue = null;

    private ?PoseLibrary $poses = null;

    public function __construct(private readonly string $catalogueDir, private readonly string $cacheDir, private readonly bool $debug)
    {
    }

    /** @throws InvalidData naming file and path */
    public function get(): Catalogue
    {
        return $this->catalogue ??= $this->load();
    }

    /** @throws InvalidData naming pose and joint */
    public function poses(): PoseLibrary
    {
        if (null === $this->poses) {
            $kept = $this->debug ? false : @file_get_contents($this->cacheDir.'/poses.values');
            $poses = false === $kept ? null : @unserialize($kept);
            $this->poses = $poses instanceof PoseLibrary ? $poses : self::readPoses($this->catalogueDir);
        }

        return $this->poses;
    }

    public static function readPoses(string $dir): PoseLibrary
    {
        return (new PoseReader())->read(Node::root(self::yaml($dir, 'poses.yaml'), 'poses.yaml'));
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
        $kept = $this->debug ? false : @file_get_contents($this->cacheDir.'/catalogue.values');
        $catalogue = false === $kept ? null : @unserialize($kept);

        return $catalogue instanceof Catalogue ? $catalogue : $this->compile();
    }

    private function compile(): Catalogue
    {
        $catalogue = (new CatalogueReader())->read(self::parse($this->catalogueDir));
        if (!is_dir($this->cacheDir)) {
            @mkdir($this->cacheDir, 0o777, true);
        }
        $poses = self::readPoses($this->catalogueDir);
        foreach ($catalogue->rungs() as $rung) {
            $poses->get($rung->picture->startPose);
            $poses->get($rung->picture->endPose);
        }
        $this->keep('poses.values', $poses);
        $this->keep('catalogue.values', $catalogue);

        return $catalogue;
    }

    private function keep(string $name, object $values): void
    {
        $temporary = @tempnam($this->cacheDir, 'cat');
        if (false !== $temporary && false !== @file_put_contents($temporary, serialize($values))) {
            chmod($temporary, 0o644);
            rename($temporary, $this->cacheDir.'/'.$name);
        }
    }

    /**
     * @return array{vocabulary: mixed, screening: mixed, goals: mixed, ladders: array<string, mixed>}
     *
     * @throws InvalidData
     */
    public static function parse(string $dir): array
    {
        $ladders = [];
        foreach (self::ORDER as $key) {
            $ladders['ladders/'.$key.'.yaml'] = self::yaml($dir, 'ladders/'.$key.'.yaml');
        }

        return ['vocabulary' => self::yaml($dir, 'vocabulary.yaml'), 'screening' => self::yaml($dir, 'screening.yaml'), 'goals' => self::yaml($dir, 'goals.yaml'), 'ladders' => $ladders];
    }

    /** @throws InvalidData naming the file and the line */
    private static function yaml(string $dir, string $file): mixed
    {
        try {
            return Yaml::parseFile($dir.'/'.$file);
        } catch (ParseException $e) {
            throw InvalidData::at($file, $e->getMessage());
        }
    }

    /** Catalogue order: the order of a sitting and of every list. */
    private const ORDER = ['settle-1', 'settle-2', 'settle-3', 'sensory-2', 'mobilize-3', 'stretch-3', 'stretch-1', 'base-1', 'open-1', 'separate-1', 'dexterity-1'];
}
