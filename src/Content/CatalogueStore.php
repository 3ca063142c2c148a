<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\InvalidPose;
use HandGarden\Core\Drawing\PoseLibrary;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** The catalogue of this installation: read once, then kept as ready values in the cache folder. */
final class CatalogueStore implements CacheWarmerInterface
{
    private const CATALOGUE_FILE = 'catalogue.values';
    private const POSES_FILE = 'poses.values';

    private ?Catalogue $catalogue = null;

    private ?PoseLibrary $poses = null;

    public function __construct(private readonly string $catalogueDir, private readonly string $cacheDir, private readonly bool $debug)
    {
    }

    /** @throws InvalidData naming file and path */
    public function get(): Catalogue
    {
        return $this->catalogue ??= $this->kept(self::CATALOGUE_FILE, Catalogue::class) ?? $this->compile();
    }

    /** @throws InvalidData naming pose and joint */
    public function poses(): PoseLibrary
    {
        return $this->poses ??= $this->kept(self::POSES_FILE, PoseLibrary::class) ?? self::readPoses($this->catalogueDir);
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

    /**
     * Reading the YAML takes 15 ms and more, taking the ready values from a file 2 ms.
     *
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T|null
     */
    private function kept(string $name, string $class): ?object
    {
        $kept = $this->debug ? false : @file_get_contents($this->cacheDir.'/'.$name);
        $values = false === $kept ? null : @unserialize($kept);

        return $values instanceof $class ? $values : null;
    }

    private function compile(): Catalogue
    {
        [$catalogue, $poses] = self::read($this->catalogueDir);
        WholeFile::write($this->cacheDir.'/'.self::POSES_FILE, serialize($poses));
        WholeFile::write($this->cacheDir.'/'.self::CATALOGUE_FILE, serialize($catalogue));

        return $catalogue;
    }

    /**
     * Every file of the catalogue, with the poses that its pictures name.
     *
     * @return array{Catalogue, PoseLibrary}
     *
     * @throws InvalidData naming file and path
     * @throws InvalidPose when a picture names a pose that is not there
     */
    public static function read(string $dir): array
    {
        $catalogue = (new CatalogueReader())->read(self::parse($dir));
        $poses = self::readPoses($dir);
        foreach ($catalogue->rungs() as $rung) {
            $poses->get($rung->picture->startPose);
            $poses->get($rung->picture->endPose);
        }

        return [$catalogue, $poses];
    }

    public static function readPoses(string $dir): PoseLibrary
    {
        return (new PoseReader())->read(Node::root(self::yaml($dir, 'poses.yaml'), 'poses.yaml'));
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
