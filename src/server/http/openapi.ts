import { registry } from '@/core/catalogue/registry';
import { planSchema } from '@/core/document/schema';
import { loadsAsked } from '../loads';
import { coverAsked } from '../cover';
import { sheetNames } from '../sheets/names';

const json = (schema: unknown) => ({ 'application/json': { schema } });
const problemBody = { description: 'What is wrong and where', content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } } };
const jobParameter = { name: 'id', in: 'path', required: true, schema: { type: 'string' } };

/** The API described from the registry and the plan schema: nothing is written twice. */
export function openApi(): unknown {
  const calculations = Object.fromEntries(
    [...registry.values()].map((calc) => [
      `/api/calc/${calc.id}`,
      {
        post: {
          operationId: calc.id,
          summary: calc.title,
          description: `Source (${calc.source.basis}): ${calc.source.text}. SI units; angles in degrees.`,
          requestBody: { required: true, content: json(calc.input) },
          responses: { 200: { description: 'The answer', content: json(calc.output) }, 422: problemBody },
        },
      },
    ]),
  );
  return {
    openapi: '3.1.0',
    info: {
      title: 'Keen Trestle',
      version: '1',
      description:
        'Calculations and plans. Plans are checked here, not approved: local codes, the maker’s chart and a licensed engineer or appointed competent person decide.',
    },
    paths: {
      ...calculations,
      '/api/jobs/{id}/plan': {
        get: {
          operationId: 'readPlan',
          summary: 'The newest revision of a plan',
          parameters: [jobParameter],
          responses: { 200: { description: 'The plan; ETag holds its revision', content: json({ $ref: '#/components/schemas/Plan' }) }, 404: problemBody },
        },
        put: {
          operationId: 'savePlan',
          summary: 'Save a plan on top of the revision in If-Match',
          parameters: [jobParameter, { name: 'If-Match', in: 'header', required: true, schema: { type: 'string', examples: ['"14"'] } }],
          requestBody: { required: true, content: json({ $ref: '#/components/schemas/Plan' }) },
          responses: {
            200: { description: 'Saved', content: json({ type: 'object', properties: { revision: { type: 'integer' } } }) },
            412: problemBody,
            422: problemBody,
            428: problemBody,
          },
        },
      },
      '/api/jobs/{id}/verdict': {
        get: {
          operationId: 'readVerdict',
          summary: 'How the newest revision stands today',
          parameters: [jobParameter],
          responses: { 200: { description: 'Verdict and counts, or why the plan cannot be opened' }, 404: problemBody },
        },
      },
      '/api/jobs/{id}/revisions': {
        get: {
          operationId: 'listRevisions',
          summary: 'Every save of a job, newest first',
          parameters: [jobParameter],
          responses: { 200: { description: 'Number, time and hand of each' }, 404: problemBody },
        },
      },
      '/api/jobs/{id}/revisions/{revision}': {
        get: {
          operationId: 'readRevision',
          summary: 'The plan as one save left it; to bring it back, save it on top of the newest',
          parameters: [jobParameter, { name: 'revision', in: 'path', required: true, schema: { type: 'integer', minimum: 1 } }],
          responses: { 200: { description: 'The plan; ETag holds its revision', content: json({ $ref: '#/components/schemas/Plan' }) }, 404: problemBody },
        },
      },
      '/api/jobs/{id}/away': {
        put: {
          operationId: 'putAway',
          summary: 'Put a job away: it leaves the list and nothing of it is lost',
          parameters: [jobParameter],
          responses: { 204: { description: 'Put away' }, 404: problemBody },
        },
        delete: {
          operationId: 'takeBack',
          summary: 'Take a job back that was put away',
          parameters: [jobParameter],
          responses: { 204: { description: 'In the list again' }, 404: problemBody },
        },
      },
      '/api/jobs': {
        post: {
          operationId: 'createJob',
          summary: 'A new job from a plan',
          requestBody: { required: true, content: json({ $ref: '#/components/schemas/Plan' }) },
          responses: { 201: { description: 'Made' }, 422: problemBody },
        },
      },
      '/api/loads': {
        post: {
          operationId: 'planLoads',
          summary: 'Pieces bundled into lorry loads, first needed on top',
          description: 'Whole-number programme up to 40 pieces; past that the loads in order, with the bound they were measured against.',
          requestBody: { required: true, content: json(loadsAsked) },
          responses: { 200: { description: 'The loads in the order they travel' }, 422: problemBody },
        },
      },
      '/api/gear': {
        get: {
          operationId: 'readGear',
          summary: 'Cranes with their charts, and lifting gear, of all jobs but one',
          parameters: [{ name: 'except', in: 'query', required: false, schema: { type: 'string' } }],
          responses: { 200: { description: 'By job, the newest first' } },
        },
      },
      '/api/stands': {
        post: {
          operationId: 'coverLifts',
          summary: 'The fewest places of a crane that serve all its lifts',
          description: 'Whole-number programme over sets of lifts, each served from one place; what was found in turn where the solver finds no fewer in time.',
          requestBody: { required: true, content: json(coverAsked) },
          responses: { 200: { description: 'Which of the sets, and how few could do' }, 422: problemBody },
        },
      },
      '/api/import/ifc': {
        post: {
          operationId: 'readIfc',
          summary: 'Members read out of an IFC model; nothing is saved',
          requestBody: { required: true, content: { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } } },
          responses: { 200: { description: 'Rows and what could not be read' }, 413: problemBody, 422: problemBody },
        },
      },
      '/api/jobs/{id}/sheets/{sheet}': {
        get: {
          operationId: 'printSheet',
          summary: 'A sheet of the newest revision as PDF',
          parameters: [
            jobParameter,
            { name: 'sheet', in: 'path', required: true, schema: { type: 'string', enum: [...sheetNames] } },
            { name: 'paper', in: 'query', schema: { type: 'string', enum: ['a4', 'letter'] } },
            { name: 'day', in: 'query', schema: { type: 'integer', minimum: 1 }, description: 'pick cards and run sheet of one day of work' },
          ],
          responses: {
            200: { description: 'The sheet', content: { 'application/pdf': { schema: { type: 'string', format: 'binary' } } } },
            404: problemBody,
            422: problemBody,
          },
        },
      },
    },
    components: {
      schemas: {
        Plan: planSchema,
        Problem: {
          type: 'object',
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            path: { type: 'string' },
          },
          required: ['title', 'status', 'detail'],
        },
      },
    },
  };
}
