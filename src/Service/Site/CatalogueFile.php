<?php

declare(strict_types=1);

namespace Olvek\Service\Site;

use Olvek\Core\Nature\Catalogue\Catalogue;
use Olvek\Core\Nature\Catalogue\CompiledCatalogue;
use Symfony\Component\Config\ConfigCacheFactoryInterface;
use Symfony\Component\Config\ConfigCacheInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;

/** The catalogue as compiled code beside the compiled container, where PHP keeps compiled code at hand; else as it is read. */
final readonly class CatalogueFile implements CacheWarmerInterface
{
    public function __construct(
        #[Autowire(service: 'config_cache_factory')] private ConfigCacheFactoryInterface $files,
        #[Autowire('%kernel.build_dir%/catalogue.php')] private string $path,
    ) {
    }

    public function __invoke(): Catalogue
    {
        return self::keepsCode() ? Catalogue::fromCompiled($this->made()) : Catalogue::shipped();
    }

    private function made(): string
    {
        return $this->files
            ->cache($this->path, static fn (ConfigCacheInterface $file) => $file->write(CompiledCatalogue::code(Catalogue::shipped())))
            ->getPath();
    }

    /** Without such a keeper the code would be compiled anew each time, which takes as long as reading the tables. */
    private static function keepsCode(): bool
    {
        return filter_var(\ini_get('cli' === \PHP_SAPI ? 'opcache.enable_cli' : 'opcache.enable'), \FILTER_VALIDATE_BOOL);
    }

    public function isOptional(): bool
    {
        return true;
    }

    /** @return list<string> */
    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        $this->made();

        return [];
    }
}
