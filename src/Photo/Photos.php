<?php

declare(strict_types=1);

namespace Olvek\Photo;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Olvek\Account\Today;
use Olvek\Build\BuildRecords;
use Olvek\Site\Csv;
use Olvek\Site\PlainText;
use Olvek\Tank\Tank;
use Symfony\Component\Uid\Uuid;

/** A tank's photos: added, listed, read, removed. */
final readonly class Photos
{
    public function __construct(private EntityManagerInterface $entities, private Today $today, private BuildRecords $book)
    {
    }

    /**
     * @param string $path of what was sent
     * @param string $id   a UUID of the sender's; "" for a new one
     *
     * @return array<string, string> why it was refused, by field; none where it is kept, or was before
     */
    public function add(Tank $tank, string $path, string $day, string $words, string $id): array
    {
        if ('' !== $id && !Uuid::isValid($id)) {
            return ['' => 'This photo has an id that is none. Send it again from this page.'];
        }
        $uuid = '' === $id ? Uuid::v7() : Uuid::fromString($id);
        if (null !== $this->entities->find(Photo::class, $uuid)) {
            return [];
        }
        $errors = array_filter([
            'day' => $this->book->dayFault($tank, $day),
            'words' => PlainText::fault($words, Photo::LONGEST_WORDS, 'The caption'),
            'photo' => Darkroom::fault($path),
        ], is_string(...));
        $on = $this->today->orEarlier($tank->keeper, $day);
        if ([] !== $errors || null === $on) {
            return $errors;
        }
        $made = Darkroom::develop($path);
        if (null === $made) {
            return ['photo' => 'This picture breaks off, or is not what it says it is. Send it again, or another.'];
        }
        $photo = new Photo($uuid, $tank, $on, $words, $made['width'], $made['height']);
        $this->entities->persist($photo);
        foreach ($made['pictures'] as $size => $bytes) {
            $this->entities->persist(new PhotoFile($photo, PhotoSize::from($size), $bytes));
        }
        try {
            $this->entities->flush();
        } catch (UniqueConstraintViolationException) {
            // The same photo came by another way at the same moment, and is kept.
        }

        return [];
    }

    /** @return list<Photo> oldest first */
    public function of(Tank $tank): array
    {
        return $this->entities->getRepository(Photo::class)->findBy(['tank' => $tank->id()], ['on' => 'ASC', 'id' => 'ASC']);
    }

    /**
     * What there is to choose from, without making two thousand photos to show their days.
     *
     * @return array<string, array{day: \DateTimeImmutable, words: string}> by id, oldest first
     */
    public function days(Tank $tank): array
    {
        /** @var list<array{id: Uuid, day: \DateTimeImmutable, words: string}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT p.id AS id, p.on AS day, p.words AS words FROM '.Photo::class.' p WHERE p.tank = :tank ORDER BY p.on, p.id',
            )
            ->setParameter('tank', $tank->id(), 'uuid')
            ->getArrayResult();
        $days = [];
        foreach ($rows as ['id' => $id, 'day' => $day, 'words' => $words]) {
            $days[$id->toRfc4122()] = ['day' => $day, 'words' => $words];
        }

        return $days;
    }

    /** @return list<Photo> newest first */
    public function newest(Tank $tank, int $most, int $from): array
    {
        return $this->entities
            ->getRepository(Photo::class)
            ->findBy(['tank' => $tank->id()], ['on' => 'DESC', 'id' => 'DESC'], $most, $from);
    }

    /** @return list<Photo> of a stretch of days, oldest first */
    public function between(Tank $tank, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        /** @var list<Photo> $photos */
        $photos = $this->entities
            ->createQuery('SELECT p FROM '.Photo::class.' p WHERE p.tank = :tank AND p.on >= :from AND p.on <= :to ORDER BY p.on, p.id')
            ->setParameter('tank', $tank->id(), 'uuid')
            ->setParameter('from', $from, 'date_immutable')
            ->setParameter('to', $to, 'date_immutable')
            ->getResult();

        return $photos;
    }

    /** @return iterable<string, string> all of a tank's, large, by their names in a ZIP, and a list of them */
    public function album(Tank $tank): iterable
    {
        $rows = [];
        foreach ($this->of($tank) as $photo) {
            $name = 'photos/'.$photo->on->format('Y-m-d').'-'.substr($photo->id->toRfc4122(), -8).'.jpg';
            $file = $this->file($photo, PhotoSize::Large);
            if (null === $file) {
                continue;
            }
            $rows[] = [$name, $photo->on->format('Y-m-d'), $photo->words, $photo->width, $photo->height, $photo->id->toRfc4122()];
            yield $name => $file->bytes();
            $this->entities->detach($file);
        }
        yield 'photos.csv' => Csv::write(['file', 'day', 'words', 'width', 'height', 'id'], $rows);
    }

    public function find(Tank $tank, string $id): ?Photo
    {
        return $this->entities->getRepository(Photo::class)->findOneBy(['id' => $id, 'tank' => $tank->id()]);
    }

    public function file(Photo $photo, PhotoSize $size): ?PhotoFile
    {
        return $this->entities->find(PhotoFile::class, ['photo' => $photo->id, 'size' => $size->value]);
    }

    public function remove(Photo $photo): void
    {
        // The database takes its pictures along.
        $this->entities->remove($photo);
        $this->entities->flush();
    }
}
