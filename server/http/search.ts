import { Router } from 'express';
import { searchQuery } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { parse } from './parse.ts';

/** Search over everything. */
export function searchRoutes({ search }: Pick<Services, 'search'>): Router {
  const router = Router();
  router.get('/search', (request, response) => {
    const { q, limit } = parse(searchQuery, request.query);
    response.json(search.find(q, limit));
  });
  return router;
}
